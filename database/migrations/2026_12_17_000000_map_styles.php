<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Styles of the map that a person keeps under names, and the pictures on their grounds. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('map_styles', static function (Blueprint $table): void {
            $table->char('id', 26)->charset('ascii')->collation('ascii_bin')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->json('body');
            $table->unique(['user_id', 'name']);
        });
        Schema::create('map_backs', static function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->char('id', 64)->charset('ascii')->collation('ascii_bin');
            $table->string('type', 20);
            $table->timestamp('created_at')->useCurrent();
            $table->primary(['user_id', 'id']);
        });
        DB::statement('ALTER TABLE map_backs ADD bytes MEDIUMBLOB NOT NULL');
    }

    public function down(): void
    {
        Schema::dropIfExists('map_backs');
        Schema::dropIfExists('map_styles');
    }
};
