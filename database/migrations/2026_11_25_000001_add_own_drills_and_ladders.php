<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Drills of a squad's own beside the book, ladders, and how many links of a build-up are done. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('own_drills', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('squad_id');
            $table->string('slug', 80)->unique();
            // The slug of the drill it began as; that one may leave the book.
            $table->string('copied_from', 80)->nullable();
            $table->boolean('is_shared')->default(false);
            $table->unsignedInteger('version')->default(1);
            $table->dateTime('retired_at_utc')->nullable();
            $table->timestamps();
            $table->unique(['club_id', 'id']);
            $table->foreign(['club_id', 'squad_id'])->references(['club_id', 'id'])->on('squads')->cascadeOnDelete();
        });
        Schema::table('drill_versions', function (Blueprint $table): void {
            // Both null for a drill of the book.
            $table->unsignedBigInteger('club_id')->nullable();
            $table->unsignedBigInteger('own_drill_id')->nullable();
            $table->foreign(['club_id', 'own_drill_id'])->references(['club_id', 'id'])->on('own_drills')->restrictOnDelete();
        });
        Schema::table('session_blocks', function (Blueprint $table): void {
            $table->unsignedTinyInteger('links')->nullable();
        });
        Schema::create('ladder_versions', function (Blueprint $table): void {
            $table->id();
            $table->string('slug', 80);
            $table->string('family', 20);
            $table->string('name', 120);
            $table->char('content_hash', 64);
            $table->json('content');
            $table->boolean('is_current')->default(true);
            $table->timestamps();
            $table->unique(['slug', 'content_hash']);
            $table->index(['is_current', 'id']);
        });
        // A line belongs to no club, so what a club calls the drill of its own that brought it about is kept apart.
        Schema::create('club_line_names', function (Blueprint $table): void {
            $table->unsignedBigInteger('club_id');
            $table->char('line_key', 32);
            $table->string('drill_slug', 80);
            $table->string('drill_name', 120);
            $table->primary(['club_id', 'line_key']);
            $table->foreign('club_id')->references('id')->on('clubs')->cascadeOnDelete();
            $table->foreign('line_key')->references('line_key')->on('record_lines')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('club_line_names');
        Schema::dropIfExists('ladder_versions');
        Schema::table('session_blocks', fn (Blueprint $table) => $table->dropColumn('links'));
        Schema::table('drill_versions', function (Blueprint $table): void {
            $table->dropForeign(['club_id', 'own_drill_id']);
            $table->dropColumn(['club_id', 'own_drill_id']);
        });
        Schema::dropIfExists('own_drills');
    }
};
