<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Words added and taken away, by plan, person, day and main section; and on which days a person writes in a plan. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('written_words', static function (Blueprint $table): void {
            foreach (['plan_id', 'section_id'] as $name) {
                $table->char($name, 26)->charset('ascii')->collation('ascii_bin');
            }
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            // In the time zone that the person had then.
            $table->date('day');
            $table->unsignedInteger('added')->default(0);
            $table->unsignedInteger('taken')->default(0);
            $table->primary(['plan_id', 'day', 'user_id', 'section_id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::table('plan_views', static fn(Blueprint $table) => $table->json('writing_days')->nullable());
    }

    public function down(): void
    {
        Schema::table('plan_views', static fn(Blueprint $table) => $table->dropColumn('writing_days'));
        Schema::drop('written_words');
    }
};
