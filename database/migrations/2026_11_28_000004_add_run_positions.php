<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where a run stands, as the device that conducts it said last: for others that follow. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('run_positions', function (Blueprint $table): void {
            $table->unsignedBigInteger('training_session_id')->primary();
            $table->unsignedBigInteger('club_id');
            $table->uuid('device');
            $table->string('segment_key', 60)->nullable();
            $table->string('state', 10);
            $table->integer('remaining_ms');
            $table->dateTime('told_at_utc', 3);
            $table->foreignId('told_by')->nullable()->constrained('users')->nullOnDelete();
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::drop('run_positions');
    }
};
