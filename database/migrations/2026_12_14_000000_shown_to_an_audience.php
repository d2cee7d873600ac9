<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A plan that is shown to an audience: what each person chose for it, and the links by which other machines follow. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('plan_views', static function (Blueprint $table): void {
            $table->json('present')->nullable();
        });
        Schema::table('links', static function (Blueprint $table): void {
            // Whose pages may show it within theirs: origins, as Content Security Policy names them.
            $table->string('framers', 1000)->default('');
        });
        Schema::create('showings', static function (Blueprint $table): void {
            $table->char('id', 26)->charset('ascii')->collation('ascii_bin')->primary();
            $table->char('plan_id', 26)->charset('ascii')->collation('ascii_bin');
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->char('token', 64)->charset('ascii')->collation('ascii_bin')->unique();
            $table->json('at');
            $table->timestamp('ends_at');
            $table->timestamps();
            $table->unique(['plan_id', 'user_id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('showings');
        Schema::table('links', static fn(Blueprint $table) => $table->dropColumn('framers'));
        Schema::table('plan_views', static fn(Blueprint $table) => $table->dropColumn('present'));
    }
};
