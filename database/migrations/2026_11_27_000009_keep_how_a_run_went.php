<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What a number was made of where more was seen; and of a run every stretch, with how long the clock stood still in it, and which blocks
 * were skipped.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('marks', fn (Blueprint $table) => $table->json('parts')->nullable());
        Schema::table('session_blocks', fn (Blueprint $table) => $table->boolean('was_skipped')->default(false));
        Schema::table('run_parts', function (Blueprint $table): void {
            $table->string('block_key', 60)->nullable();
            $table->decimal('expected_seconds', 7, 1)->nullable();
            $table->decimal('paused_seconds', 7, 1)->default(0);
            $table->decimal('frozen_seconds', 7, 1)->default(0);
        });
    }

    public function down(): void
    {
        Schema::table('session_blocks', fn (Blueprint $table) => $table->dropColumn('was_skipped'));
        DB::table('run_parts')->whereNotIn('part', ['set-up', 'explain', 'change'])->delete();
        Schema::table('run_parts', fn (Blueprint $table) => $table->dropColumn([
            'block_key', 'expected_seconds', 'paused_seconds', 'frozen_seconds',
        ]));
        Schema::table('marks', fn (Blueprint $table) => $table->dropColumn('parts'));
    }
};
