<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Numbers in forms of one's own: of a plan, and kept under a name. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            $table->json('number_forms')->nullable();
        });
        Schema::create('number_forms', static function (Blueprint $table): void {
            $table->char('id', 26)->charset('ascii')->collation('ascii_bin')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->json('forms');
            $table->unique(['user_id', 'name']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('number_forms');
        Schema::table('plans', static fn(Blueprint $table) => $table->dropColumn('number_forms'));
    }
};
