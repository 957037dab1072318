<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/** What is kept of a squad's record lines is kept by lines: a number makes one of them anew, and not all. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('squads', fn (Blueprint $table) => $table->char('lines_key', 16)->default(''));
        foreach (DB::table('squads')->pluck('id') as $id) {
            DB::table('squads')->where('id', $id)->update(['lines_key' => Str::random(16)]);
        }
        Schema::create('line_pasts', function (Blueprint $table): void {
            $table->foreignId('squad_id')->constrained()->cascadeOnDelete();
            $table->char('line_key', 32);
            $table->char('past_key', 16);
            $table->primary(['squad_id', 'line_key']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('line_pasts');
        Schema::table('squads', fn (Blueprint $table) => $table->dropColumn('lines_key'));
    }
};
