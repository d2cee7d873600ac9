<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Tags that a person puts on plans in their list: their own, whoever else sees the plan. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('plan_tags', static function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->char('plan_id', 26)->charset('ascii')->collation('ascii_bin');
            $table->string('tag', 60);
            $table->primary(['user_id', 'plan_id', 'tag']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::drop('plan_tags');
    }
};
