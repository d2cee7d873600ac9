<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A second step of signing in, accounts that an organisation vouches for, who looks after accounts, and how much each may keep. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            // Sealed with the key of the application; with it, the step whose code was used last, and prints of the codes on paper.
            $table->text('totp_secret')->nullable();
            $table->bigInteger('totp_step')->default(-1);
            $table->json('recovery_codes')->nullable();
            // False: one signs in by the organisation alone.
            $table->boolean('has_password')->default(true);
            $table->boolean('is_administrator')->default(false);
            $table->timestamp('closed_at')->nullable();
            // In bytes; null: as for everybody.
            $table->unsignedBigInteger('quota')->nullable();
        });
        Schema::create('identities', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('issuer', 190)->charset('ascii')->collation('ascii_bin');
            $table->string('subject', 255)->charset('ascii')->collation('ascii_bin');
            $table->timestamp('created_at');
            $table->unique(['issuer', 'subject']);
        });
    }

    public function down(): void
    {
        Schema::drop('identities');
        Schema::table('users', static fn(Blueprint $table) => $table->dropColumn([
            ...['totp_secret', 'totp_step', 'recovery_codes', 'has_password', 'is_administrator', 'closed_at', 'quota'],
        ]));
    }
};
