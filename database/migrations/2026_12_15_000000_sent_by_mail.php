<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Files of plans that were sent by mail, or wait behind a link that ends. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('sendings', static function (Blueprint $table): void {
            $table->char('id', 26)->charset('ascii')->collation('ascii_bin')->primary();
            $table->char('plan_id', 26)->charset('ascii')->collation('ascii_bin');
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->json('addresses');
            $table->string('line', 1000)->default('');
            $table->json('choices');
            $table->string('name', 250)->default('');
            $table->string('type', 120)->default('');
            $table->unsignedInteger('size')->default(0);
            $table->boolean('is_link')->default(false);
            $table->char('token', 64)->charset('ascii')->collation('ascii_bin')->nullable()->unique();
            $table->string('state', 8)->default('waiting');
            $table->string('says', 500)->default('');
            $table->char('task_id', 26)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->timestamp('ends_at')->nullable();
            $table->timestamps();
            $table->index(['plan_id', 'user_id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('sendings');
    }
};
