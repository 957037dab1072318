<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Touches by player, session and drill, counted and estimated apart; seasons that have ended; what was said to advice. */
return new class extends Migration
{
    private const FEET = ['left', 'right', 'unknown', 'other'];

    public function up(): void
    {
        Schema::create('ledger_entries', function (Blueprint $table): void {
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('training_session_id');
            $table->unsignedBigInteger('player_id');
            $table->string('drill_slug', 80);
            $table->string('family', 20);
            $table->date('on_day');
            $table->decimal('ball_seconds', 8, 1);
            foreach (['estimated', 'counted'] as $how) {
                foreach (self::FEET as $foot) {
                    $table->decimal("{$how}_{$foot}", 9, 2)->default(0);
                }
            }
            // As it was planned, and of it what is estimated still and what was counted, by foot, surface, height and purpose.
            $table->json('planned');
            $table->json('tallies');
            $table->primary(['training_session_id', 'player_id', 'drill_slug']);
            $table->index(['player_id', 'on_day']);
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
        });
        Schema::create('ended_seasons', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('squad_id');
            $table->string('name', 60);
            $table->date('starts_on');
            $table->date('ends_on');
            $table->timestamps();
            $table->index(['squad_id', 'ends_on']);
            $table->foreign(['club_id', 'squad_id'])->references(['club_id', 'id'])->on('squads')->cascadeOnDelete();
        });
        Schema::create('advice_answers', function (Blueprint $table): void {
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('player_id');
            $table->string('ladder_slug', 80);
            $table->string('drill_slug', 80);
            $table->string('answer', 10);
            $table->string('why', 400);
            $table->foreignId('answered_by')->nullable()->constrained('users')->nullOnDelete();
            $table->dateTime('answered_at_utc');
            $table->primary(['player_id', 'ladder_slug']);
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::drop('advice_answers');
        Schema::drop('ended_seasons');
        Schema::drop('ledger_entries');
    }
};
