<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a plan goes by beside its blocks: helpers, heat, who may do what; and what past sessions leave behind for the next. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('squads', function (Blueprint $table): void {
            // Null until the squad says otherwise: the tool's own values.
            $table->decimal('heat_care_celsius', 3, 1)->nullable();
            $table->decimal('heat_stop_celsius', 3, 1)->nullable();
        });
        Schema::table('training_sessions', function (Blueprint $table): void {
            $table->unsignedTinyInteger('helpers')->default(0);
            $table->boolean('is_hot')->default(false);
            $table->decimal('temperature_celsius', 4, 1)->nullable();
            $table->decimal('humidity_percent', 4, 1)->nullable();
        });
        Schema::table('session_blocks', function (Blueprint $table): void {
            $table->string('together', 20)->nullable();
        });
        Schema::table('attendances', function (Blueprint $table): void {
            $table->string('may', 15)->default('everything');
        });
        Schema::create('plan_overrides', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('training_session_id');
            // Null for the session as a whole.
            $table->string('block_key', 40)->nullable();
            $table->string('code', 20);
            $table->string('sentence', 400);
            $table->string('reason', 300);
            $table->foreignId('overridden_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
        });
        Schema::create('run_parts', function (Blueprint $table): void {
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('training_session_id');
            $table->string('segment_key', 60);
            $table->string('part', 12);
            $table->decimal('planned_seconds', 7, 1);
            $table->decimal('actual_seconds', 7, 1);
            $table->foreignId('timed_by')->nullable()->constrained('users')->nullOnDelete();
            $table->primary(['training_session_id', 'segment_key']);
            $table->index(['timed_by', 'training_session_id']);
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
        });
        Schema::create('session_loads', function (Blueprint $table): void {
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('training_session_id');
            $table->unsignedBigInteger('player_id');
            $table->decimal('touches', 8, 1);
            // With either foot, and of these with the weaker one.
            $table->decimal('footed_touches', 8, 1);
            $table->decimal('weaker_touches', 8, 1);
            $table->decimal('strikes', 7, 1);
            $table->decimal('headers', 6, 1);
            $table->unsignedTinyInteger('keeper_turns')->default(0);
            $table->unsignedTinyInteger('server_turns')->default(0);
            $table->primary(['training_session_id', 'player_id']);
            $table->index(['club_id', 'player_id']);
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
        });
        Schema::create('session_groups', function (Blueprint $table): void {
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('training_session_id');
            $table->string('block_key', 40);
            $table->unsignedTinyInteger('group_number');
            $table->unsignedBigInteger('player_id');
            $table->primary(['training_session_id', 'block_key', 'player_id']);
            $table->index(['club_id', 'player_id']);
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        foreach (['session_groups', 'session_loads', 'run_parts', 'plan_overrides'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('attendances', fn (Blueprint $table) => $table->dropColumn('may'));
        Schema::table('session_blocks', fn (Blueprint $table) => $table->dropColumn('together'));
        Schema::table(
            'training_sessions',
            fn (Blueprint $table) => $table->dropColumn(['helpers', 'is_hot', 'temperature_celsius', 'humidity_percent']),
        );
        Schema::table('squads', fn (Blueprint $table) => $table->dropColumn(['heat_care_celsius', 'heat_stop_celsius']));
    }
};
