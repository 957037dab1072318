<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Home practice: the week as it was kept, a link of its own for each player, what was practised until a coach confirms it, and a session
 * to hang confirmed numbers on that is none with the squad.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('home_routines', function (Blueprint $table): void {
            $table->json('week')->default('[]');
            $table->dropColumn('drills');
        });
        Schema::table('training_sessions', fn (Blueprint $table) => $table->boolean('is_home')->default(false));
        Schema::create('home_links', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('player_id')->unique();
            // What the secret is made of together with the application's key; of the secret itself only a hash is kept.
            $table->char('nonce', 32);
            $table->char('token_hash', 64)->unique();
            $table->dateTime('expires_at_utc');
            $table->date('seen_on')->nullable();
            $table->foreignId('opened_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
        });
        Schema::create('home_entries', function (Blueprint $table): void {
            $table->char('uuid', 36)->primary();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('player_id');
            $table->string('drill_slug', 80);
            $table->date('practised_on');
            $table->boolean('was_moved')->default(false);
            // What the week asked for when it came: drill version, links and dose, for the touches it stands for.
            $table->json('task');
            $table->json('numbers');
            $table->string('felt', 10)->nullable();
            $table->string('source', 10);
            $table->string('phone', 12)->default('');
            $table->string('state', 12)->default('waiting');
            $table->dateTime('sent_at_utc');
            $table->index(['player_id', 'practised_on']);
            $table->foreign(['club_id', 'player_id'])->references(['club_id', 'id'])->on('players')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::drop('home_entries');
        Schema::drop('home_links');
        Schema::table('training_sessions', fn (Blueprint $table) => $table->dropColumn('is_home'));
        Schema::table('home_routines', function (Blueprint $table): void {
            $table->dropColumn('week');
            $table->json('drills')->default('[]');
        });
    }
};
