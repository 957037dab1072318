<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A mark may supersede several others (a correction one, a choice between readings all of them); line days and bests are projections. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('marks', function (Blueprint $table): void {
            // The event as it was sent; mark_supersessions is its index.
            $table->json('supersedes')->nullable();
            $table->boolean('is_disputed')->default(false);
            $table->string('reason', 200)->default('');
            $table->string('source', 10)->default('coach');
            $table->string('counted_by', 10)->default('coach');
            $table->string('ground', 10)->default('grass');
        });
        Schema::create('mark_supersessions', function (Blueprint $table): void {
            // Without a foreign key on either: the correction may arrive before what it corrects.
            $table->uuid('superseded_uuid');
            $table->uuid('mark_uuid')->index();
            $table->unsignedBigInteger('club_id');
            // A correction reaches no further than its own session.
            $table->unsignedBigInteger('training_session_id');
            // What holds is decided when it is read, so that the order of arrival does not matter: a coach may correct anybody's
            // number, an assistant their own.
            $table->unsignedBigInteger('entered_by')->nullable();
            $table->boolean('by_coach');
            $table->primary(['superseded_uuid', 'mark_uuid']);
            $table->foreign(['club_id', 'training_session_id'])->references(['club_id', 'id'])->on('training_sessions')->cascadeOnDelete();
        });
        DB::statement(
            'insert into mark_supersessions (superseded_uuid, mark_uuid, club_id, training_session_id, entered_by, by_coach) '
            .'select supersedes_uuid, uuid, club_id, training_session_id, entered_by, 1 from marks where supersedes_uuid is not null',
        );
        DB::statement('update marks set supersedes = json_array(supersedes_uuid) where supersedes_uuid is not null');
        Schema::table('marks', function (Blueprint $table): void {
            $table->dropIndex(['supersedes_uuid']);
            $table->dropColumn('supersedes_uuid');
        });
        Schema::create('line_days', function (Blueprint $table): void {
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('player_id');
            $table->char('line_key', 32);
            $table->date('on_day');
            $table->decimal('best', 7, 1)->nullable();
            $table->decimal('median', 8, 2)->nullable();
            $table->unsignedSmallInteger('tries');
            $table->unsignedSmallInteger('open_tries');
            $table->primary(['player_id', 'line_key', 'on_day']);
            $table->index(['club_id', 'player_id']);
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
            $table->foreign('line_key')->references('line_key')->on('record_lines')->restrictOnDelete();
        });
        Schema::create('bests', function (Blueprint $table): void {
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('player_id');
            $table->char('line_key', 32);
            $table->decimal('value', 7, 1);
            $table->date('on_day');
            $table->unsignedSmallInteger('days');
            $table->primary(['player_id', 'line_key']);
            $table->index(['club_id', 'on_day']);
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
            $table->foreign('line_key')->references('line_key')->on('record_lines')->restrictOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('marks', function (Blueprint $table): void {
            $table->uuid('supersedes_uuid')->nullable()->index();
        });
        DB::statement("update marks set supersedes_uuid = json_unquote(json_extract(supersedes, '$[0]')) where supersedes is not null");
        Schema::table(
            'marks',
            fn (Blueprint $table) => $table->dropColumn(['supersedes', 'is_disputed', 'reason', 'source', 'counted_by', 'ground']),
        );
        foreach (['bests', 'line_days', 'mark_supersessions'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
