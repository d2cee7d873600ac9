<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who beside its owner may do what in a plan; invitations on their way, and links that need no account. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('shares', static function (Blueprint $table): void {
            self::ofPlan($table);
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('role', 8);
            $table->timestamp('seen_at')->nullable();
            $table->timestamps();
            $table->unique(['plan_id', 'user_id']);
        });
        Schema::create('invitations', static function (Blueprint $table): void {
            self::ofPlan($table);
            $table->foreignId('by_id')->nullable()->constrained('users')->nullOnDelete();
            $table->string('email', 190);
            $table->string('role', 8);
            $table->char('token', 64)->charset('ascii')->collation('ascii_bin')->unique();
            $table->timestamp('ends_at');
            $table->timestamps();
            $table->unique(['plan_id', 'email']);
        });
        Schema::create('links', static function (Blueprint $table): void {
            self::ofPlan($table);
            $table->string('role', 8);
            $table->char('token', 64)->charset('ascii')->collation('ascii_bin')->unique();
            $table->string('password')->nullable();
            $table->boolean('copies')->default(false);
            $table->boolean('shows_loose')->default(false);
            $table->timestamp('ends_at')->nullable();
            $table->timestamps();
        });
    }

    private static function ofPlan(Blueprint $table): void
    {
        foreach (['id', 'plan_id'] as $name) {
            $table->char($name, 26)->charset('ascii')->collation('ascii_bin');
        }
        $table->primary('id');
        $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
    }

    public function down(): void
    {
        foreach (['links', 'invitations', 'shares'] as $table) {
            Schema::drop($table);
        }
    }
};
