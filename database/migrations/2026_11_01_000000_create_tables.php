<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('users', static function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->string('email', 190)->unique();
            $table->string('password');
            $table->string('time_zone', 64)->default('UTC');
            $table->string('language', 16)->default('en');
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('password_reset_tokens', static function (Blueprint $table): void {
            $table->string('email', 190)->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });
        Schema::create('plans', static function (Blueprint $table): void {
            self::id($table, 'id')->primary();
            $table->foreignId('owner_id')->constrained('users')->cascadeOnDelete();
            $table->text('title');
            $table->string('subtitle', 300)->default('');
            $table->string('author', 300)->default('');
            $table->string('form', 16)->default('report');
            $table->string('subject', 300)->default('');
            $table->string('language', 35)->default('en');
            $table->string('page_size', 8)->default('a4');
            $table->unsignedInteger('target_words')->nullable();
            $table->date('due_on')->nullable();
            $table->string('numbering', 16)->default('decimal');
            $table->unsignedTinyInteger('numbering_depth')->default(3);
            $table->boolean('run_on')->default(false);
            $table->json('foreign')->nullable();
            $table->unsignedBigInteger('revision')->default(0);
            $table->json('strip')->nullable();
            $table->unsignedInteger('words')->default(0);
            $table->timestamp('put_away_at')->nullable();
            $table->timestamp('changed_at')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->index(['owner_id', 'put_away_at', 'deleted_at']);
        });
        Schema::create('topics', static function (Blueprint $table): void {
            self::id($table, 'plan_id');
            self::id($table, 'id');
            self::id($table, 'parent_id')->nullable();
            // A fractional key among siblings; none for what was removed.
            $table->string('place', 255)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->text('title');
            $table->string('kind', 16)->default('section');
            $table->string('numbered', 16)->default('usual');
            $table->string('dye', 16)->nullable();
            $table->string('flag', 16)->nullable();
            $table->unsignedInteger('target_words')->nullable();
            // Of its note, kept here too: every change needs them, and no change needs all the notes.
            $table->boolean('noted')->default(false);
            $table->unsignedInteger('words')->default(0);
            $table->double('map_x')->nullable();
            $table->double('map_y')->nullable();
            $table->json('foreign')->nullable();
            $table->unsignedBigInteger('revision')->default(0);
            $table->timestamp('removed_at')->nullable();
            $table->primary(['plan_id', 'id']);
            $table->unique(['plan_id', 'parent_id', 'place']);
            $table->index(['plan_id', 'revision']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::table('topics', static function (Blueprint $table): void {
            $table
                ->foreign(['plan_id', 'parent_id'])
                ->references(['plan_id', 'id'])
                ->on('topics');
        });
        Schema::create('notes', static function (Blueprint $table): void {
            self::id($table, 'plan_id');
            self::id($table, 'topic_id');
            $table->json('body');
            $table->mediumText('plain');
            $table->unsignedInteger('words')->default(0);
            $table->primary(['plan_id', 'topic_id']);
            $table->fullText('plain');
            $table
                ->foreign(['plan_id', 'topic_id'])
                ->references(['plan_id', 'id'])
                ->on('topics')
                ->cascadeOnDelete();
        });
        Schema::create('operations', static function (Blueprint $table): void {
            self::id($table, 'plan_id');
            $table->unsignedBigInteger('seq');
            self::id($table, 'op_id');
            self::id($table, 'step_id');
            self::id($table, 'undoes')->nullable();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('type', 16);
            $table->longText('payload');
            $table->longText('inverse');
            $table->timestamp('at')->useCurrent();
            $table->primary(['plan_id', 'seq']);
            $table->unique(['plan_id', 'op_id']);
            $table->index(['plan_id', 'user_id', 'seq']);
            $table->index(['plan_id', 'step_id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::create('snapshots', static function (Blueprint $table): void {
            self::id($table, 'plan_id');
            $table->unsignedBigInteger('seq');
            $table->string('name', 200)->nullable();
            $table->longText('body');
            $table->timestamp('at')->useCurrent();
            $table->primary(['plan_id', 'seq']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::create('topic_folds', static function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            self::id($table, 'plan_id');
            self::id($table, 'topic_id');
            $table->primary(['user_id', 'plan_id', 'topic_id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::create('plan_views', static function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            self::id($table, 'plan_id');
            $table->string('view', 16)->default('outline');
            self::id($table, 'focus')->nullable();
            $table->unsignedInteger('scroll')->default(0);
            $table->primary(['user_id', 'plan_id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
    }

    private static function id(Blueprint $table, string $name): \Illuminate\Database\Schema\ColumnDefinition
    {
        return $table->char($name, 26)->charset('ascii')->collation('ascii_bin');
    }

    public function down(): void
    {
        foreach (
            ['plan_views', 'topic_folds', 'snapshots', 'operations', 'notes', 'topics', 'plans', 'password_reset_tokens', 'users'] as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
