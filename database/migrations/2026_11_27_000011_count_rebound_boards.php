<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Rebound boards are counted apart from places at a wall: they are carried to where they are wanted. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('squads', fn (Blueprint $table) => $table->unsignedSmallInteger('boards_owned')->nullable());
    }

    public function down(): void
    {
        Schema::table('squads', fn (Blueprint $table) => $table->dropColumn('boards_owned'));
    }
};
