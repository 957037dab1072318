<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was called in a run: its place in the block's seeded sequence, so that it can be run again, and how it was answered. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('run_calls', function (Blueprint $table): void {
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('training_session_id');
            $table->string('block_key', 60);
            $table->unsignedSmallInteger('number');
            $table->unsignedSmallInteger('place');
            $table->string('answer', 4)->nullable();
            $table->primary(['training_session_id', 'block_key', 'number']);
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::drop('run_calls');
    }
};
