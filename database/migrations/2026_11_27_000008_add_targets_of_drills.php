<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A squad may set the number to beat of a drill in another way than usual; how often a stretch is reached, and whether chances show. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('squads', function (Blueprint $table): void {
            $table->string('stretch_percent', 2)->default('40');
            $table->string('chance_shown', 3)->default('no');
        });
        Schema::create('drill_targets', function (Blueprint $table): void {
            $table->foreignId('club_id')->constrained()->cascadeOnDelete();
            $table->foreignId('squad_id')->constrained()->cascadeOnDelete();
            $table->string('drill_slug', 80);
            $table->string('school', 20);
            $table->decimal('number', 8, 2)->nullable();
            $table->primary(['squad_id', 'drill_slug']);
        });
    }

    public function down(): void
    {
        Schema::drop('drill_targets');
        Schema::table('squads', fn (Blueprint $table) => $table->dropColumn(['stretch_percent', 'chance_shown']));
    }
};
