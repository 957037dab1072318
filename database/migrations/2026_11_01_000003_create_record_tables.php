<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Record lines and marks. A mark is never changed: what supersedes it names it by UUID, without a foreign key, and may arrive first. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('record_lines', function (Blueprint $table): void {
            $table->char('line_key', 32)->primary();
            $table->string('drill_slug', 80)->index();
            $table->string('drill_name', 120);
            $table->string('family', 20);
            $table->string('kind', 30);
            $table->string('side', 12);
            $table->json('task');
            $table->timestamps();
        });
        Schema::create('marks', function (Blueprint $table): void {
            $table->uuid('uuid')->primary();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('player_id');
            $table->unsignedBigInteger('training_session_id');
            $table->char('line_key', 32);
            $table->unsignedTinyInteger('try_number');
            $table->decimal('value', 7, 1);
            $table->boolean('is_void')->default(false);
            $table->date('marked_on');
            $table->dateTime('recorded_at_utc', 3);
            $table->uuid('supersedes_uuid')->nullable()->index();
            $table->unsignedBigInteger('entered_by')->nullable();
            $table->timestamps();
            $table->index(['player_id', 'line_key', 'marked_on']);
            // Covers the tries that a plan's quotas rest on, without touching the rows.
            $table->index(['line_key', 'player_id', 'is_void', 'value', 'club_id'], 'marks_tries_index');
            $table->index(['training_session_id']);
            $table->foreign('line_key')->references('line_key')->on('record_lines')->restrictOnDelete();
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
            $table->foreign('entered_by')->references('id')->on('users')->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('marks');
        Schema::dropIfExists('record_lines');
    }
};
