<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Minutes of heading practice, which a profile may limit by the week; nothing is known of sessions run before. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('session_loads', fn (Blueprint $table) => $table->decimal('heading_minutes', 5, 1)->default(0));
    }

    public function down(): void
    {
        Schema::table('session_loads', fn (Blueprint $table) => $table->dropColumn('heading_minutes'));
    }
};
