<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Which questions were asked of which topic: nobody is asked twice. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('asked_questions', static function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->char('plan_id', 26)->charset('ascii')->collation('ascii_bin');
            $table->char('topic_id', 26)->charset('ascii')->collation('ascii_bin');
            $table->string('question', 40)->charset('ascii')->collation('ascii_bin');
            $table->primary(['user_id', 'plan_id', 'topic_id', 'question']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('asked_questions');
    }
};
