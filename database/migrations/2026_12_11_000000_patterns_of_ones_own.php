<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Patterns that a person keeps under names: each a plan in its stored form. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('patterns', static function (Blueprint $table): void {
            $table->char('id', 26)->charset('ascii')->collation('ascii_bin')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->longText('body');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::drop('patterns');
    }
};
