<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('sources', static function (Blueprint $table): void {
            // The stored form of a source, without id and title.
            $table->json('body')->nullable()->after('title');
        });
        Schema::table('plans', static function (Blueprint $table): void {
            $table->string('citation_style', 20)->default('apa');
        });
        Schema::create('attachments', static function (Blueprint $table): void {
            foreach (['plan_id', 'id', 'holder'] as $name) {
                $table->char($name, 26)->charset('ascii')->collation('ascii_bin');
            }
            $table->string('name', 255);
            $table->string('type', 100);
            $table->unsignedInteger('bytes');
            $table->char('hash', 64)->charset('ascii')->collation('ascii_bin');
            $table->timestamp('added_at')->useCurrent();
            $table->timestamp('removed_at')->nullable();
            $table->primary(['plan_id', 'id']);
            $table->index(['plan_id', 'holder']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('attachments');
        Schema::table('sources', static fn(Blueprint $table) => $table->dropColumn('body'));
        Schema::table('plans', static fn(Blueprint $table) => $table->dropColumn('citation_style'));
    }
};
