<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    /** MariaDB's check of JSON ends at 32 levels; what is kept here is read by PHP alone, which has limits of its own. */
    private const JSON = [
        'plans' => ['foreign' => true, 'strip' => true],
        'topics' => ['foreign' => true],
        'notes' => ['body' => false],
        'plan_views' => ['map' => true, 'hand_over' => true],
        'relations' => ['bend' => true],
        'sources' => ['body' => true],
        'styles' => ['body' => false],
        'templates' => ['choices' => true],
        'tasks' => ['given' => false, 'result' => true],
    ];

    public function up(): void
    {
        foreach (self::JSON as $table => $columns) {
            $changes = array_map(
                static fn(string $column, bool $mayBeNull): string => "MODIFY `{$column}` LONGTEXT " . ($mayBeNull ? 'NULL' : 'NOT NULL'),
                array_keys($columns),
                $columns,
            );
            DB::statement("ALTER TABLE `{$table}` " . implode(', ', $changes));
        }
        DB::statement('ALTER TABLE pictures MODIFY bytes LONGBLOB NOT NULL');

        Schema::table('tasks', static function (Blueprint $table): void {
            // About how much work it is, so that little of it does not wait for much.
            $table->unsignedBigInteger('weight')->default(0);
            $table->index(['state', 'user_id']);
        });

        // An address is compared to the letter, so it is kept in one spelling.
        DB::statement('UPDATE users SET email = LOWER(email)');
        DB::statement('ALTER TABLE users MODIFY email VARCHAR(190) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL');
        DB::statement('DELETE FROM password_reset_tokens');
        DB::statement('ALTER TABLE password_reset_tokens MODIFY email VARCHAR(190) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL');
        // Who wants to stay signed in says so to the session itself.
        Schema::table('users', static fn(Blueprint $table) => $table->dropColumn('remember_token'));
        Schema::create('sessions', static function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->foreignId('user_id')->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
        // What was said beside the text of drafts that came home.
        Schema::create('draft_comments', static function (Blueprint $table): void {
            foreach (['plan_id', 'topic_id'] as $name) {
                $table->char($name, 26)->charset('ascii')->collation('ascii_bin');
            }
            $table->char('hash', 64)->charset('ascii')->collation('ascii_bin');
            $table->string('who', 200);
            $table->text('text');
            $table->timestamp('kept_at')->useCurrent();
            $table->primary(['plan_id', 'topic_id', 'hash']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::create('sign_ups', static function (Blueprint $table): void {
            $table->char('token', 64)->charset('ascii')->collation('ascii_bin')->primary();
            $table->string('email', 190)->charset('utf8mb4')->collation('utf8mb4_bin');
            $table->string('name', 120);
            $table->string('password');
            $table->string('time_zone', 64)->default('UTC');
            $table->timestamp('created_at')->useCurrent();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('draft_comments');
        Schema::dropIfExists('sign_ups');
        Schema::dropIfExists('sessions');
        Schema::table('tasks', static function (Blueprint $table): void {
            $table->dropIndex(['state', 'user_id']);
            $table->dropColumn('weight');
        });
        Schema::table('users', static fn(Blueprint $table) => $table->rememberToken());
        foreach (['users', 'password_reset_tokens'] as $table) {
            DB::statement("ALTER TABLE {$table} MODIFY email VARCHAR(190) CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci NOT NULL");
        }
    }
};
