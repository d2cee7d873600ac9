<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;

/** The bytes of pictures and templates go from their rows to disks of their names. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('pictures', static fn(Blueprint $table) => $table->unsignedInteger('size')->default(0));
        foreach (DB::table('pictures')->select(['plan_id', 'id'])->orderBy('plan_id')->orderBy('id')->get() as $row) {
            $picture = DB::table('pictures')->where('plan_id', $row->plan_id)->where('id', $row->id);
            $bytes = (string) $picture->value('bytes');
            Storage::disk('pictures')->put("{$row->plan_id}/{$row->id}", $bytes);
            $picture->update(['size' => strlen($bytes)]);
        }
        foreach (DB::table('templates')->pluck('id') as $id) {
            Storage::disk('templates')->put((string) $id, (string) DB::table('templates')->where('id', $id)->value('bytes'));
        }
        foreach (['pictures', 'templates'] as $name) {
            Schema::table($name, static fn(Blueprint $table) => $table->dropColumn('bytes'));
        }
    }

    public function down(): void
    {
        Schema::table('pictures', static fn(Blueprint $table) => $table->binary('bytes')->default(''));
        DB::statement('ALTER TABLE pictures MODIFY bytes MEDIUMBLOB NOT NULL');
        foreach (DB::table('pictures')->select(['plan_id', 'id'])->get() as $row) {
            DB::table('pictures')
                ->where('plan_id', $row->plan_id)
                ->where('id', $row->id)
                ->update(['bytes' => (string) Storage::disk('pictures')->get("{$row->plan_id}/{$row->id}")]);
        }
        Schema::table('templates', static fn(Blueprint $table) => $table->binary('bytes')->default(''));
        DB::statement('ALTER TABLE templates MODIFY bytes LONGBLOB NOT NULL');
        foreach (DB::table('templates')->pluck('id') as $id) {
            DB::table('templates')
                ->where('id', $id)
                ->update(['bytes' => (string) Storage::disk('templates')->get((string) $id)]);
        }
        Schema::table('pictures', static fn(Blueprint $table) => $table->dropColumn('size'));
    }
};
