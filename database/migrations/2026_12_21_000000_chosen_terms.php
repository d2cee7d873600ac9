<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The terms that were chosen for a plan’s glossary and index, each with what it means. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('plans', static fn(Blueprint $table) => $table->json('terms')->nullable());
    }

    public function down(): void
    {
        Schema::table('plans', static fn(Blueprint $table) => $table->dropColumn('terms'));
    }
};
