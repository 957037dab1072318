<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whether the first layout lies before the start, how many can play at a wall, and how long a squad's judged parts take. */
return new class extends Migration
{
    private const SECONDS = [
        'marker_seconds', 'explain_new_seconds', 'explain_known_seconds', 'explain_again_seconds', 'explain_other_side_seconds',
        'change_over_seconds', 'write_seconds',
    ];

    public function up(): void
    {
        Schema::table('training_sessions', fn (Blueprint $table) => $table->boolean('is_laid_before')->default(true));
        Schema::table('squads', function (Blueprint $table): void {
            $table->unsignedSmallInteger('wall_places')->nullable();
            foreach (self::SECONDS as $column) {
                $table->decimal($column, 5, 1)->nullable();
            }
        });
    }

    public function down(): void
    {
        Schema::table('training_sessions', fn (Blueprint $table) => $table->dropColumn('is_laid_before'));
        Schema::table('squads', fn (Blueprint $table) => $table->dropColumn(['wall_places', ...self::SECONDS]));
    }
};
