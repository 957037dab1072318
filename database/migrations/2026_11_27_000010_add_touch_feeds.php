<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Touches of a device that counts, line by line, and the token with which it may send them for one session and nothing else. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('touch_feeds', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('training_session_id');
            $table->char('token_hash', 64)->unique();
            $table->dateTime('expires_at_utc');
            $table->foreignId('opened_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
        });
        Schema::create('touch_feed_lines', function (Blueprint $table): void {
            $table->uuid('uuid')->primary();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('training_session_id');
            $table->unsignedBigInteger('player_id');
            $table->dateTime('touched_at_utc', 3);
            $table->char('side', 1)->nullable();
            $table->string('surface', 10)->nullable();
            $table->index(['training_session_id', 'touched_at_utc', 'player_id', 'side'], 'touch_feed_count_index');
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::drop('touch_feed_lines');
        Schema::drop('touch_feeds');
    }
};
