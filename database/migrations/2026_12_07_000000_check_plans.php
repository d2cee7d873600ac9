<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was said to the checks of a plan, and what was read in each note, so that a plan is checked without its notes. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            $table->json('rules_off')->nullable();
            $table->json('set_aside')->nullable();
        });
        Schema::table('notes', static fn(Blueprint $table) => $table->mediumText('reading')->nullable());
    }

    public function down(): void
    {
        Schema::table('notes', static fn(Blueprint $table) => $table->dropColumn('reading'));
        Schema::table('plans', static fn(Blueprint $table) => $table->dropColumn(['rules_off', 'set_aside']));
    }
};
