<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The club lead, sign-ins that can be ended, invitations, what a squad has chosen, and who changed what about a child. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('clubs', function (Blueprint $table): void {
            // ISO: 1 is Monday.
            $table->unsignedTinyInteger('week_starts_on')->default(1);
        });
        Schema::table('users', function (Blueprint $table): void {
            $table->boolean('is_lead')->default(false);
        });
        Schema::table('squads', function (Blueprint $table): void {
            $table->date('season_starts_on')->nullable();
            $table->string('ground', 10)->default('grass');
            $table->string('foot_wording', 10)->default('other');
            $table->string('heading_profile', 20)->default('the-fa-2020');
            $table->unsignedInteger('area_width_mm')->nullable();
            $table->unsignedInteger('area_depth_mm')->nullable();
            $table->unsignedSmallInteger('markers_owned')->nullable();
            $table->unsignedSmallInteger('balls_owned')->nullable();
            $table->unsignedSmallInteger('bibs_owned')->nullable();
            $table->unsignedSmallInteger('goals_owned')->nullable();
        });
        Schema::table('players', function (Blueprint $table): void {
            // For coaches; never shown to assistants, never exported to a phone.
            $table->string('private_note', 500)->nullable();
        });
        Schema::create('sign_ins', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('user_id');
            $table->string('device', 80);
            $table->dateTime('signed_in_at_utc');
            $table->dateTime('seen_at_utc');
            $table->index(['user_id', 'seen_at_utc']);
            $table->foreign(['club_id', 'user_id'])->references(['club_id', 'id'])->on('users')->cascadeOnDelete();
        });
        Schema::create('invitations', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('squad_id')->nullable();
            $table->string('role', 20);
            $table->string('email', 190);
            $table->char('token_hash', 64)->unique();
            $table->dateTime('expires_at_utc');
            $table->dateTime('accepted_at_utc')->nullable();
            $table->timestamps();
            $table->index(['club_id', 'email']);
            $table->foreign('club_id')->references('id')->on('clubs')->cascadeOnDelete();
            $table->foreign(['club_id', 'squad_id'])->references(['club_id', 'id'])->on('squads')->cascadeOnDelete();
        });
        Schema::create('audit_entries', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            // Without foreign keys: that somebody was erased, and by whom, outlives the row it is about.
            $table->unsignedBigInteger('squad_id');
            $table->unsignedBigInteger('player_id');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('action', 30);
            $table->json('changes');
            $table->dateTime('at_utc', 3);
            $table->index(['club_id', 'player_id', 'id']);
            $table->foreign('club_id')->references('id')->on('clubs')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        foreach (['audit_entries', 'invitations', 'sign_ins'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('players', fn (Blueprint $table) => $table->dropColumn('private_note'));
        Schema::table(
            'squads',
            fn (Blueprint $table) => $table->dropColumn(
                [
                    'season_starts_on',
                    'ground',
                    'foot_wording',
                    'heading_profile',
                    'area_width_mm',
                    'area_depth_mm',
                    'markers_owned',
                    'balls_owned',
                    'bibs_owned',
                    'goals_owned',
                ],
            ),
        );
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn('is_lead'));
        Schema::table('clubs', fn (Blueprint $table) => $table->dropColumn('week_starts_on'));
    }
};
