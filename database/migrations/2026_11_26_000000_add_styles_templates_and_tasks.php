<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('plan_views', static function (Blueprint $table): void {
            $table->json('hand_over')->nullable();
        });
        foreach (['styles', 'templates', 'tasks'] as $name) {
            Schema::create($name, static function (Blueprint $table) use ($name): void {
                $table->char('id', 26)->charset('ascii')->collation('ascii_bin')->primary();
                $table->foreignId('user_id')->constrained()->cascadeOnDelete();
                match ($name) {
                    'styles' => self::style($table),
                    'templates' => self::template($table),
                    default => self::task($table),
                };
                $table->timestamps();
            });
        }
        DB::statement('ALTER TABLE templates MODIFY bytes LONGBLOB NOT NULL');
        // Laravel's own table of jobs.
        Schema::create('jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
    }

    private static function style(Blueprint $table): void
    {
        $table->string('name', 80);
        $table->json('body');
        $table->unique(['user_id', 'name']);
    }

    private static function template(Blueprint $table): void
    {
        $table->string('name', 255);
        $table->string('kind', 4);
        $table->binary('bytes');
        // Which of its styles each of ours takes, where the writer said otherwise than was guessed.
        $table->json('choices')->nullable();
    }

    private static function task(Blueprint $table): void
    {
        $table->string('kind', 20);
        $table->string('state', 10)->default('waiting');
        $table->unsignedInteger('done')->default(0);
        $table->unsignedInteger('of')->default(0);
        $table->text('says')->nullable();
        $table->json('given');
        $table->json('result')->nullable();
    }

    public function down(): void
    {
        foreach (['jobs', 'tasks', 'templates', 'styles'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('plan_views', static fn(Blueprint $table) => $table->dropColumn('hand_over'));
    }
};
