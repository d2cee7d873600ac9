<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whether a plan may be sent to a helper, and what was sent to it and came back. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('plans', static fn(Blueprint $table) => $table->boolean('allows_companion')->default(false));
        Schema::create('companion_letters', static function (Blueprint $table): void {
            $table->char('id', 26)->charset('ascii')->collation('ascii_bin')->primary();
            $table->char('plan_id', 26)->charset('ascii')->collation('ascii_bin');
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->char('topic_id', 26)->charset('ascii')->collation('ascii_bin');
            $table->string('wish', 20)->charset('ascii')->collation('ascii_bin');
            $table->string('helper', 200);
            $table->mediumText('sent');
            $table->mediumText('answer')->nullable();
            // Null: it is on its way; '' it came to its end; else why not.
            $table->string('failed', 300)->nullable();
            $table->boolean('is_taken')->default(false);
            $table->timestamp('at');
            $table->index(['plan_id', 'at']);
            $table->index(['user_id', 'at']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::drop('companion_letters');
        Schema::table('plans', static fn(Blueprint $table) => $table->dropColumn('allows_companion'));
    }
};
