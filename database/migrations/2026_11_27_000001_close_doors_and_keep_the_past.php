<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Addresses that are compared letter by letter; versions of settings; who was there, for every session that was run; a trail of
 * what is done to staff; a name the client gives to a session it adds; where a squad's past stands.
 */
return new class extends Migration
{
    public function up(): void
    {
        // Under the tables' own collation "é" and a full-width "e" are an "e": several spellings would open one account.
        DB::statement('update users set email = lower(trim(email))');
        DB::statement('update invitations set email = lower(trim(email))');
        DB::statement('alter table users modify email varchar(190) character set utf8mb4 collate utf8mb4_bin not null');
        DB::statement('alter table invitations modify email varchar(190) character set utf8mb4 collate utf8mb4_bin not null');
        Schema::table('clubs', fn (Blueprint $table) => $table->unsignedInteger('version')->default(1));
        Schema::table('squads', function (Blueprint $table): void {
            $table->unsignedInteger('version')->default(1);
            // Changes with whatever a plan goes by; what is kept between previews is kept under it.
            $table->char('past_key', 16)->default('');
        });
        Schema::table('training_sessions', function (Blueprint $table): void {
            $table->uuid('client_uuid')->nullable();
            $table->unique(['squad_id', 'client_uuid']);
        });
        // By which method of estimating touches a past session was worked out; it is never estimated anew.
        Schema::table('session_loads', fn (Blueprint $table) => $table->unsignedSmallInteger('method')->default(1));
        Schema::table('audit_entries', function (Blueprint $table): void {
            $table->unsignedBigInteger('squad_id')->nullable()->change();
            $table->unsignedBigInteger('player_id')->nullable()->change();
            // Whom or what it is about where that is no player: somebody of the staff, a session, the settings.
            $table->string('about', 190)->default('');
            $table->index(['club_id', 'id']);
        });
        // A session that was run knows its players: those with a load were there, the others were not.
        DB::statement(<<<'SQL'
            insert into attendances (club_id, training_session_id, player_id, coming, created_at, updated_at)
            select players.club_id, training_sessions.id, players.id, session_loads.player_id is not null, now(), now()
            from training_sessions
            join players on players.squad_id = training_sessions.squad_id
            left join session_loads on session_loads.training_session_id = training_sessions.id and session_loads.player_id = players.id
            left join attendances on attendances.training_session_id = training_sessions.id and attendances.player_id = players.id
            where training_sessions.run_finished_at_utc is not null and attendances.id is null
            SQL);
    }

    public function down(): void
    {
        DB::table('audit_entries')->whereNull('player_id')->delete();
        Schema::table('audit_entries', function (Blueprint $table): void {
            $table->dropIndex(['club_id', 'id']);
            $table->dropColumn('about');
            $table->unsignedBigInteger('squad_id')->nullable(false)->change();
            $table->unsignedBigInteger('player_id')->nullable(false)->change();
        });
        Schema::table('session_loads', fn (Blueprint $table) => $table->dropColumn('method'));
        Schema::table('training_sessions', function (Blueprint $table): void {
            $table->dropUnique(['squad_id', 'client_uuid']);
            $table->dropColumn('client_uuid');
        });
        Schema::table('squads', fn (Blueprint $table) => $table->dropColumn(['version', 'past_key']));
        Schema::table('clubs', fn (Blueprint $table) => $table->dropColumn('version'));
        DB::statement('alter table users modify email varchar(190) not null');
        DB::statement('alter table invitations modify email varchar(190) not null');
    }
};
