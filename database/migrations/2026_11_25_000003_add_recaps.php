<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the group answered at the end of a session, and how hard it was. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('training_sessions', function (Blueprint $table): void {
            $table->string('recap_answers', 500)->default('');
            $table->string('recap_how_hard', 15)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('training_sessions', fn (Blueprint $table) => $table->dropColumn(['recap_answers', 'recap_how_hard']));
    }
};
