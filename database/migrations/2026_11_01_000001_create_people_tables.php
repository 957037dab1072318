<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Club, staff, squads, players. Every child row carries the club, and foreign keys include it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('clubs', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->string('time_zone', 64);
            $table->timestamps();
        });
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('club_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->string('email', 190)->unique();
            $table->string('password');
            $table->rememberToken();
            $table->timestamps();
            $table->unique(['club_id', 'id']);
        });
        Schema::create('squads', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('club_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->string('age_group', 8);
            $table->string('length_unit', 8)->default('yd');
            $table->string('target_school', 20)->default('own-record');
            $table->timestamps();
            $table->unique(['club_id', 'id']);
        });
        Schema::create('squad_staff', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('squad_id');
            $table->unsignedBigInteger('user_id');
            $table->string('role', 20);
            $table->timestamps();
            $table->unique(['squad_id', 'user_id']);
            $table->foreign(['club_id', 'squad_id'])->references(['club_id', 'id'])->on('squads')->cascadeOnDelete();
            $table->foreign(['club_id', 'user_id'])->references(['club_id', 'id'])->on('users')->cascadeOnDelete();
        });
        Schema::create('players', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('club_id');
            $table->unsignedBigInteger('squad_id');
            $table->string('name', 60);
            $table->unsignedSmallInteger('bib')->nullable();
            $table->string('strong_foot', 4);
            $table->unsignedSmallInteger('birth_year')->nullable();
            $table->timestamps();
            $table->unique(['club_id', 'id']);
            $table->index(['squad_id', 'name']);
            $table->foreign(['club_id', 'squad_id'])->references(['club_id', 'id'])->on('squads')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        foreach (['players', 'squad_staff', 'squads', 'users', 'clubs'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
