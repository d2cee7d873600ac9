<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Draft\Choices;
use Embrel\Draft\ShowChoices;
use Embrel\Layout\Map\Telling;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;
use Embrel\Plan\Shown;
use Embrel\Plan\WordTotals;
use Embrel\Show\Deck;
use Embrel\Show\Show;

/** What a screen is told of a plan that is shown: nothing of its loose ideas and asides. */
final readonly class ShowView
{
    private Plan $plan;

    public function __construct(private PlanRow $row, private User $user, PlanStore $store)
    {
        $this->plan = Shown::of($store->load($row, true));
    }

    /** Another when the steps, or the map, are others. */
    public static function print(PlanRow $row, User $user): string
    {
        return hash('xxh64', $row->revision . serialize((new PersonalState())->present($user, $row)));
    }

    public function choices(): ShowChoices
    {
        return (new PersonalState())->present($this->user, $this->row);
    }

    /**
     * The steps in reading order.
     *
     * @param bool $notes whether what is said with each is told, and what is played: a screen elsewhere shows neither
     *
     * @return array<string, mixed>
     */
    public function deck(bool $notes): array
    {
        return Deck::of($this->plan, new Choices(show: $this->choices()), $notes)
            + ['print' => self::print($this->row, $this->user)]
            + ($notes ? ['media' => (object) $this->media()] : []);
    }

    /** @return array<string, list<array{id: string, name: string, plays: string}>> topic → the sounds and films that hang on it */
    public function media(): array
    {
        $media = [];
        foreach (Attachments::of($this->row->id) as $topic => $files) {
            foreach ($this->plan->isLive((string) $topic) ? $files : [] as ['id' => $id, 'name' => $name, 'plays' => $plays]) {
                $plays === null ?: $media[(string) $topic][] = ['id' => $id, 'name' => $name, 'plays' => $plays];
            }
        }

        return $media;
    }

    /** @return list<array{string, string, int, int}> what can be left out or shown whole: id, number and title, level, how much is under it */
    public function sections(): array
    {
        $numbers = Numbering::of($this->plan);
        $sections = [];
        foreach ($this->plan->walk() as $id => $level) {
            $topic = $this->plan->topic($id);
            if ($level <= 3 && $topic->kind->value === 'section') {
                $name = trim("{$numbers->own($id)} " . ($topic->title === '' ? 'Untitled' : $topic->title));
                $sections[] = [$id, $name, $level, \count($this->plan->parts($id))];
            }
        }

        return $sections;
    }

    /** @return array<string, mixed> the map that it is shown on, without what is left out; the rest keeps its numbers */
    public function map(): array
    {
        $shown = Shown::of($this->plan, asides: true, without: $this->choices()->without);
        $look = (new PersonalState())->map($this->user, $this->row);

        return Telling::of($shown, Numbering::of($this->plan), WordTotals::of($shown), $look, relations: $shown->relations);
    }

    /** Whether a picture stands in what is shown. */
    public function shows(string $picture): bool
    {
        foreach (Show::of($this->plan, new Choices(show: $this->choices()))->steps as $step) {
            if (\in_array($picture, array_column($step->shots, 'picture'), true)) {
                return true;
            }
        }

        return false;
    }
}
