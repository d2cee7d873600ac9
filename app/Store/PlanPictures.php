<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Picture;
use Embrel\Document\Pictures;
use Embrel\Document\PictureType;
use Embrel\Plan\Topic;
use Embrel\RichText\NodeType;

/**
 * The pictures of one plan, addressed by their content; kept as long as the plan is. Bytes are written before the row that
 * says that they are there: they may take their time, and no lock is held for them.
 */
final readonly class PlanPictures implements Pictures
{
    public function __construct(private string $plan) {}

    public function bytes(string $id): ?string
    {
        return $this->find($id) === null ? null : self::disk()->bytes($this->plan, $id);
    }

    public function find(string $id): ?Picture
    {
        return Picture::query()->where('plan_id', $this->plan)->where('id', $id)->first();
    }

    /** @return Picture not written down yet: that is for `add` */
    public function write(string $bytes): Picture
    {
        Quota::admitInto($this->plan, \strlen($bytes));
        $id = hash('sha256', $bytes);
        self::disk()->write($this->plan, $id, $bytes);

        return new Picture([
            'plan_id' => $this->plan,
            'id' => $id,
            'type' => PictureType::of($bytes)->mediaType(),
            'size' => \strlen($bytes),
        ]);
    }

    /** @param list<Picture> $written */
    public function add(array $written): void
    {
        Picture::query()->insertOrIgnore(array_map(static fn(Picture $one): array => $one->getAttributes(), $written));
    }

    public function keep(string $bytes): void
    {
        $this->add([$this->write($bytes)]);
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
        $others = new self($from);
        $taken = [];
        foreach (array_filter(array_map($others->find(...), self::of($topics))) as $one) {
            self::disk()->copy($from, $this->plan, $one->id);
            $taken[] = new Picture(['plan_id' => $this->plan] + $one->getAttributes());
        }
        $this->add($taken);
    }

    public static function disk(): PlanDisk
    {
        return new PlanDisk('pictures');
    }
}
