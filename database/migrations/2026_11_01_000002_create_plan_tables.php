<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Drill versions (immutable, from the book), sessions with their blocks, and who is coming. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('drill_versions', function (Blueprint $table): void {
            $table->id();
            $table->string('slug', 80);
            $table->string('family', 20);
            $table->string('name', 120);
            $table->char('content_hash', 64);
            $table->json('content');
            $table->boolean('is_current')->default(true);
            $table->timestamps();
            $table->unique(['slug', 'content_hash']);
            $table->index(['is_current', 'family']);
        });
        Schema::create('training_sessions', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('squad_id');
            $table->string('title', 120);
            $table->string('place', 120)->default('');
            $table->dateTime('starts_at_utc');
            $table->unsignedSmallInteger('slot_minutes');
            $table->unsignedInteger('version')->default(1);
            $table->dateTime('run_started_at_utc')->nullable();
            $table->dateTime('run_finished_at_utc')->nullable();
            $table->timestamps();
            $table->unique(['club_id', 'id']);
            $table->index(['squad_id', 'starts_at_utc']);
            $table->foreign(['club_id', 'squad_id'])->references(['club_id', 'id'])->on('squads')->cascadeOnDelete();
        });
        Schema::create('session_blocks', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('training_session_id');
            // Named by the client, so that a block keeps its name when the plan is kept again.
            $table->string('block_key', 40);
            $table->unsignedSmallInteger('position');
            $table->string('kind', 10);
            $table->string('title', 120);
            $table->decimal('minutes', 4, 1)->nullable();
            $table->foreignId('drill_version_id')->nullable()->constrained()->restrictOnDelete();
            $table->json('dose')->nullable();
            $table->string('tempo', 10)->nullable();
            $table->unsignedTinyInteger('stations')->nullable();
            $table->timestamps();
            $table->unique(['training_session_id', 'position']);
            $table->unique(['training_session_id', 'block_key']);
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
        });
        Schema::create('attendances', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('training_session_id');
            $table->unsignedBigInteger('player_id');
            $table->boolean('coming');
            $table->timestamps();
            $table->unique(['training_session_id', 'player_id']);
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        foreach (['attendances', 'session_blocks', 'training_sessions', 'drill_versions'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
