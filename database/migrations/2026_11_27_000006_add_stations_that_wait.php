<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whether a round of stations moves on when all are done; until now all went by the whistle. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('session_blocks', fn (Blueprint $table) => $table->boolean('do_stations_wait')->default(false));
    }

    public function down(): void
    {
        Schema::table('session_blocks', fn (Blueprint $table) => $table->dropColumn('do_stations_wait'));
    }
};
