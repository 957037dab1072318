<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was said to a player in a run and is to be mended, press by press; and who is to be looked at. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('reminder_events', function (Blueprint $table): void {
            $table->uuid('uuid')->primary();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('player_id');
            $table->unsignedBigInteger('training_session_id');
            $table->string('kind', 5);
            $table->string('words', 60)->default('');
            $table->dateTime('noted_at_utc', 3);
            // A private one goes with whoever noted it.
            $table->foreignId('noted_by')->nullable()->constrained('users')->nullOnDelete();
            $table->index(['player_id', 'noted_at_utc']);
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::drop('reminder_events');
    }
};
