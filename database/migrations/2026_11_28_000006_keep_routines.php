<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The routine a player has at home: where, how long, and which drills, so that the next one keeps most of them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('home_routines', function (Blueprint $table): void {
            $table->unsignedBigInteger('player_id')->primary();
            $table->unsignedBigInteger('club_id');
            $table->json('wishes');
            $table->json('drills');
            $table->date('kept_on');
            $table->foreignId('kept_by')->nullable()->constrained('users')->nullOnDelete();
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::drop('home_routines');
    }
};
