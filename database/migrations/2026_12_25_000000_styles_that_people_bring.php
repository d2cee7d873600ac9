<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Files of citation styles that people bring: each once, by its content; who keeps it; and which plans are printed in it. */
return new class extends Migration {
    public function up(): void
    {
        // A release before this one goes on with citation_style, which has one of ours that it knows.
        Schema::table('plans', static fn(Blueprint $table) => $table->string('style_key', 80)->nullable());
        Schema::create('style_files', static function (Blueprint $table): void {
            $table->char('id', 36)->charset('ascii')->collation('ascii_bin')->primary();
            $table->string('name', 200);
            $table->string('standard_id', 300)->default('');
            $table->mediumText('body');
            $table->timestamp('created_at')->useCurrent();
        });
        Schema::create('kept_style_files', static function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->char('style_id', 36)->charset('ascii')->collation('ascii_bin');
            $table->primary(['user_id', 'style_id']);
            $table->foreign('style_id')->references('id')->on('style_files');
        });
        Schema::create('plan_style_files', static function (Blueprint $table): void {
            $table->char('plan_id', 26)->charset('ascii')->collation('ascii_bin');
            $table->char('style_id', 36)->charset('ascii')->collation('ascii_bin');
            $table->primary(['plan_id', 'style_id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $table->foreign('style_id')->references('id')->on('style_files');
        });
    }

    public function down(): void
    {
        Schema::table('plans', static fn(Blueprint $table) => $table->dropColumn('style_key'));
        Schema::dropIfExists('plan_style_files');
        Schema::dropIfExists('kept_style_files');
        Schema::dropIfExists('style_files');
    }
};
