<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Moves of the dictionary: immutable versions, as drills are. They belong to no club. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('move_versions', function (Blueprint $table): void {
            $table->id();
            $table->string('slug', 80);
            $table->string('family', 20);
            $table->string('name', 120);
            $table->char('content_hash', 64);
            $table->json('content');
            $table->boolean('is_current')->default(true);
            $table->timestamps();
            $table->unique(['slug', 'content_hash']);
            $table->index(['is_current', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('move_versions');
    }
};
