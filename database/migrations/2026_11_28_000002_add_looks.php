<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Single balls of the one player in focus, judged at the pitch: the weight of a first touch, three ticks for a pass. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('looks', function (Blueprint $table): void {
            $table->uuid('uuid')->primary();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('player_id');
            $table->unsignedBigInteger('training_session_id');
            $table->string('drill_slug', 80);
            $table->string('weight', 5)->nullable();
            $table->boolean('is_far_foot')->nullable();
            $table->boolean('is_accurate')->default(false);
            $table->boolean('is_right_pace')->default(false);
            $table->boolean('is_clean')->default(false);
            $table->dateTime('looked_at_utc', 3);
            $table->foreignId('looked_by')->nullable()->constrained('users')->nullOnDelete();
            $table->index(['player_id', 'looked_at_utc']);
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::drop('looks');
    }
};
