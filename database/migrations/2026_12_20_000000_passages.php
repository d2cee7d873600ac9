<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What plans have to say, in passages, and which words stand in which: an index that follows the log. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('passage_plans', static function (Blueprint $table): void {
            // In the rows of the index instead of the id, which is long.
            $table->increments('number');
            $table->char('plan_id', 26)->charset('ascii')->collation('ascii_bin')->unique();
            // The rules and the language by which words were brought to their stems.
            $table->string('read_as', 60)->charset('ascii')->collation('ascii_bin')->default('');
            // All up to this revision is in it; on the way to `goal` the topics up to `after` are.
            $table->unsignedBigInteger('revision')->default(0);
            $table->unsignedBigInteger('goal')->default(0);
            $table->char('after', 26)->charset('ascii')->collation('ascii_bin')->default('');
            $table->unsignedInteger('last')->default(0);
            $table->unsignedInteger('passages')->default(0);
            $table->unsignedInteger('words')->default(0);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::create('passages', static function (Blueprint $table): void {
            $table->unsignedInteger('plan');
            $table->unsignedInteger('passage');
            // What it is a passage of: title, note, source or page; of which topic, source or file; and where in it.
            $table->string('kind', 6)->charset('ascii')->collation('ascii_bin');
            $table->char('thing', 26)->charset('ascii')->collation('ascii_bin');
            $table->string('block', 26)->charset('ascii')->collation('ascii_bin');
            $table->unsignedBigInteger('print');
            $table->unsignedInteger('words');
            $table->binary('stems');
            $table->primary(['plan', 'passage']);
            $table->index(['plan', 'thing']);
            $table->foreign('plan')->references('number')->on('passage_plans')->cascadeOnDelete();
        });
        Schema::create('passage_words', static function (Blueprint $table): void {
            $table->unsignedInteger('plan');
            $table->unsignedInteger('word');
            $table->unsignedInteger('passage');
            $table->unsignedTinyInteger('times');
            $table->unsignedSmallInteger('words');
            $table->primary(['plan', 'word', 'passage']);
            $table->foreign('plan')->references('number')->on('passage_plans')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::drop('passage_words');
        Schema::drop('passages');
        Schema::drop('passage_plans');
    }
};
