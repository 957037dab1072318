<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A run somebody only tried out, so that nothing is learned from it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('training_sessions', fn (Blueprint $table) => $table->boolean('is_only_tried')->default(false));
    }

    public function down(): void
    {
        Schema::table('training_sessions', fn (Blueprint $table) => $table->dropColumn('is_only_tried'));
    }
};
