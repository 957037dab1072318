<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Days of a line say what their tries add up to. Stands before the steps that work out days anew, which write it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('line_days', fn (Blueprint $table) => $table->decimal('total', 10, 2)->default(0));
    }

    public function down(): void
    {
        Schema::table('line_days', fn (Blueprint $table) => $table->dropColumn('total'));
    }
};
