<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What people do together in a plan beside writing it: who may come, what is said, what each has seen, and votes. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            // Each rises with every change of who may do what, and of what is said: open pages ask for these two with the revision.
            $table->unsignedInteger('people_revision')->default(0);
            $table->unsignedInteger('talk_revision')->default(0);
            $table->foreignId('offered_to')->nullable()->constrained('users')->nullOnDelete();
        });
        Schema::table('links', static function (Blueprint $table): void {
            $table->boolean('shows_asides')->default(false);
            $table->boolean('shows_comments')->default(false);
            $table->unique('plan_id');
        });
        Schema::table('invitations', static function (Blueprint $table): void {
            // To a copy of one's own, instead of to the plan.
            $table->boolean('hands_out')->default(false);
            $table->unique(['plan_id', 'email', 'hands_out']);
            $table->dropUnique(['plan_id', 'email']);
        });
        Schema::create('visits', static function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            self::id($table, 'plan_id');
            $table->unsignedInteger('revision');
            $table->unsignedInteger('talk_revision')->default(0);
            $table->json('seen')->nullable();
            $table->primary(['user_id', 'plan_id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::create('comments', static function (Blueprint $table): void {
            self::id($table, 'id');
            self::id($table, 'plan_id');
            self::id($table, 'topic_id');
            self::id($table, 'thread_id')->nullable();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name', 120);
            $table->text('body');
            $table->json('anchor')->nullable();
            $table->json('proposal')->nullable();
            $table->string('outcome', 8)->nullable();
            $table->string('outcome_by', 120)->nullable();
            $table->string('outcome_why', 300)->nullable();
            $table->timestamp('settled_at')->nullable();
            $table->string('settled_by', 120)->nullable();
            $table->timestamp('edited_at')->nullable();
            $table->timestamp('taken_back_at')->nullable();
            // The change of what is said that made it what it is, and the one since which its words stand elsewhere.
            $table->unsignedInteger('revised');
            $table->unsignedInteger('placed');
            $table->timestamp('created_at')->useCurrent();
            $table->primary('id');
            $table->index(['plan_id', 'topic_id']);
            $table->index(['plan_id', 'revised']);
            $table->index(['plan_id', 'placed']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $table->foreign('thread_id')->references('id')->on('comments')->cascadeOnDelete();
        });
        Schema::create('mentions', static function (Blueprint $table): void {
            self::id($table, 'comment_id');
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->primary(['comment_id', 'user_id']);
            $table->foreign('comment_id')->references('id')->on('comments')->cascadeOnDelete();
        });
        Schema::create('votes', static function (Blueprint $table): void {
            self::id($table, 'id');
            self::id($table, 'plan_id');
            $table->string('question', 300);
            $table->unsignedTinyInteger('signs');
            $table->boolean('is_secret');
            $table->json('topics');
            $table->timestamp('closed_at')->nullable();
            $table->timestamp('created_at')->useCurrent();
            $table->primary('id');
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::create('ballots', static function (Blueprint $table): void {
            self::id($table, 'vote_id');
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            self::id($table, 'topic_id');
            $table->unsignedTinyInteger('signs');
            $table->primary(['vote_id', 'user_id', 'topic_id']);
            $table->foreign('vote_id')->references('id')->on('votes')->cascadeOnDelete();
        });
        Schema::create('notices', static function (Blueprint $table): void {
            self::id($table, 'id');
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            self::id($table, 'plan_id');
            self::id($table, 'comment_id')->nullable();
            $table->string('kind', 12);
            $table->string('by', 120);
            $table->timestamp('created_at')->useCurrent();
            $table->timestamp('seen_at')->nullable();
            $table->timestamp('mailed_at')->nullable();
            $table->primary('id');
            $table->index(['user_id', 'seen_at']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $table->foreign('comment_id')->references('id')->on('comments')->cascadeOnDelete();
        });
        Schema::table('users', static fn(Blueprint $table) => $table->json('letters')->nullable());
        Schema::create('handouts', static function (Blueprint $table): void {
            self::id($table, 'id');
            self::id($table, 'plan_id');
            $table->string('email', 190);
            self::id($table, 'copy_id')->nullable();
            $table->string('name', 120);
            $table->timestamps();
            $table->primary('id');
            $table->unique(['plan_id', 'email']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $table->foreign('copy_id')->references('id')->on('plans')->nullOnDelete();
        });
    }

    private static function id(Blueprint $table, string $name): \Illuminate\Database\Schema\ColumnDefinition
    {
        return $table->char($name, 26)->charset('ascii')->collation('ascii_bin');
    }

    public function down(): void
    {
        foreach (['handouts', 'notices', 'ballots', 'votes', 'mentions', 'comments', 'visits'] as $table) {
            Schema::drop($table);
        }
        Schema::table('users', static fn(Blueprint $table) => $table->dropColumn('letters'));
        DB::table('invitations')->where('hands_out', true)->delete();
        Schema::table('invitations', static function (Blueprint $table): void {
            $table->unique(['plan_id', 'email']);
            $table->dropUnique(['plan_id', 'email', 'hands_out']);
            $table->dropColumn('hands_out');
        });
        Schema::table('links', static function (Blueprint $table): void {
            $table->dropForeign(['plan_id']);
            $table->dropUnique(['plan_id']);
            $table->dropColumn(['shows_asides', 'shows_comments']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::table('plans', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('offered_to');
            $table->dropColumn(['people_revision', 'talk_revision']);
        });
    }
};
