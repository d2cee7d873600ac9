<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Document\Pictures;
use Embrel\Document\PictureType;
use Embrel\Plan\Topic;
use Embrel\RichText\NodeType;
use Illuminate\Support\Facades\DB;

/** The pictures of one plan, addressed by their content; kept as long as the plan is. */
final readonly class PlanPictures implements Pictures
{
    public function __construct(private string $plan) {}

    public function bytes(string $id): ?string
    {
        return $this->row($id)->bytes ?? null;
    }

    public function row(string $id): ?\stdClass
    {
        return DB::table('pictures')
            ->where('plan_id', $this->plan)
            ->where('id', $id)
            ->first(['type', 'bytes']);
    }

    public function keep(PictureIntake $taken): void
    {
        DB::table('pictures')->insertOrIgnore([
            ['plan_id' => $this->plan, 'id' => $taken->picture()->id, 'type' => $taken->type, 'bytes' => $taken->bytes],
        ]);
    }

    /** Keeps a picture that was written anew already. */
    public function keepFile(string $path): void
    {
        $bytes = (string) file_get_contents($path);
        DB::table('pictures')->insertOrIgnore([
            ['plan_id' => $this->plan, 'id' => hash('sha256', $bytes), 'type' => PictureType::of($bytes)->mediaType(), 'bytes' => $bytes],
        ]);
    }

    /**
     * The pictures on topics and in their notes.
     *
     * @param iterable<Topic> $topics with the notes that are to be looked into
     *
     * @return list<string> each once
     */
    public static function of(iterable $topics): array
    {
        $ids = [];
        foreach ($topics as $topic) {
            if ($topic->picture !== null) {
                $ids[$topic->picture->id] = true;
            }
            foreach ($topic->note?->find(NodeType::Picture) ?? [] as $node) {
                $ids[(string) $node->string('picture')] = true;
            }
        }
        unset($ids['']);

        return array_map(strval(...), array_keys($ids));
    }

    /**
     * Takes over the pictures of topics that were copied from another plan.
     *
     * @param iterable<Topic> $topics
     */
    public function takeOver(string $from, iterable $topics): void
    {
        $ids = array_fill_keys(self::of($topics), true);
        $others = DB::table('pictures')
            ->where('plan_id', $from)
            ->whereIn('id', array_map(strval(...), array_keys($ids)))
            ->selectRaw('? as plan_id, id, type, bytes', [$this->plan]);
        $ids === [] || DB::table('pictures')->insertOrIgnoreUsing(['plan_id', 'id', 'type', 'bytes'], $others);
    }
}
