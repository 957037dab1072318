<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/** What numbers do not change of a squad's past has a key of its own. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('squads', fn (Blueprint $table) => $table->char('aside_key', 16)->default(''));
        foreach (DB::table('squads')->pluck('id') as $id) {
            DB::table('squads')->where('id', $id)->update(['aside_key' => Str::random(16)]);
        }
    }

    public function down(): void
    {
        Schema::table('squads', fn (Blueprint $table) => $table->dropColumn('aside_key'));
    }
};
