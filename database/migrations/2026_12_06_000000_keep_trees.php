<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The tree of a large plan beside its rows, so that a change of one topic does not read thousands. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('trees', static function (Blueprint $table): void {
            $table->char('plan_id', 26)->charset('ascii')->collation('ascii_bin')->primary();
            $table->unsignedBigInteger('revision');
            $table->longText('body');
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::table('plans', static fn(Blueprint $table) => $table->boolean('has_tree')->default(false));
    }

    public function down(): void
    {
        Schema::table('plans', static fn(Blueprint $table) => $table->dropColumn('has_tree'));
        Schema::drop('trees');
    }
};
