<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Comment;
use App\Models\Link;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\DraftChoices;
use Embrel\Draft\MapChoices;
use Embrel\Draft\Printed;
use Embrel\Draft\Printing;
use Embrel\Film\Frame;
use Embrel\Fonts\Typefaces;
use Embrel\Layout\Map\Arrangement;
use Embrel\Layout\Map\Look;
use Embrel\Numbering\Numbering;
use Embrel\Pages\Typesetter;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Shown;
use Embrel\Writer\Html\HtmlWriter;
use Embrel\Writer\MapDrawing;
use Embrel\Writer\Svg\PageSvg;
use Embrel\Writer\Svg\SvgWriter;

/** A plan as who comes by its link sees it. */
final class ReadPlan
{
    /** Pages that are shown; the rest is in the draft. */
    private const PAGES = 40;

    public readonly Plan $plan;
    private readonly Numbering $numbering;

    public function __construct(private readonly Link $link, PlanStore $store)
    {
        $this->plan = Shown::of($store->load($link->plan, true), $link->shows_loose, $link->shows_asides);
        $this->numbering = Numbering::of($this->plan);
    }

    /** @return list<array{id: string, level: int, number: string, title: string, words: int, dye: string, kind: string}> */
    public function rows(string $home = Plan::ROOT): array
    {
        return array_map(static fn(array $row): array => [
            'id' => $row[0],
            'level' => $row[1],
            'number' => $row[2],
            'title' => $row[3] === '' ? 'Untitled' : $row[3],
            'words' => $row[6],
            'dye' => $row[5],
            'kind' => $row[4],
        ], Frame::under($this->plan, $home, $this->numbering));
    }

    /** @return list<array<string, mixed>> the main sections, as they stand above the plan */
    public function strip(): array
    {
        return Sight::of($this->plan)->strip();
    }

    /** @return array<string, string> topic → its note as it prints, in HTML; the opening note under the root */
    public function notes(): array
    {
        $topics = [Plan::ROOT, ...$this->plan->standing()];
        $printed = Printed::of($this->plan, $this->numbering, $topics, []);
        $writer = new HtmlWriter(address: $this->address(...));
        $notes = [];
        foreach ($topics as $id) {
            $note = $this->plan->topic($id)->noted ? $printed->note($id) : null;
            if ($note !== null) {
                $notes[$id] = $writer->blocks($note->blocks);
            }
        }

        return $notes;
    }

    /**
     * What is said, where the link shows it; else only what this reader has said.
     *
     * @param list<string> $own
     *
     * @return array<string, list<Comment>> topic → comments on it, answers behind what they answer
     */
    public function comments(array $own): array
    {
        $byTopic = [];
        foreach (array_merge(...Comments::open($this->link->plan_id)) as $one) {
            if ($this->link->shows_comments || \in_array($one->id, $own, true)) {
                $byTopic[$one->topic_id][] = $one;
            }
        }

        return $byTopic;
    }

    public function map(string $arrangement): string
    {
        return SvgWriter::element(new MapDrawing($this->plan, $this->mapChoices($arrangement, false)), 'map');
    }

    /** @param int $scale of a picture made of pixels, 1 to 4 */
    public function mapChoices(string $arrangement, bool $ground = true, int $scale = 2): Choices
    {
        $look = Look::from(['arrangement' => (Arrangement::tryFrom($arrangement) ?? Arrangement::Both)->value]);

        return new Choices(
            pictures: $ground ? new PlanPictures($this->link->plan_id) : null,
            map: new MapChoices($look, ground: $ground, scale: $scale),
        );
    }

    /** As it is handed over to who reads it. */
    public function choices(?int $most = null): Choices
    {
        return new Choices(pictures: new PlanPictures($this->link->plan_id), draft: new DraftChoices(
            prints: $this->link->shows_asides ? [Kind::Aside->value => Printing::Text] : [],
            most: $most,
        ));
    }

    /** @return array{list<string>, int} pages as they are handed over, and how many there are */
    public function pages(): array
    {
        $choices = $this->choices(HandedOver::beginning($this->plan));
        $faces = Typefaces::shipped($this->plan->properties->language);
        $book = Typesetter::book(Draft::of($this->plan, $choices), $faces, $choices->pictures);
        $pages = [];
        foreach (\array_slice($book->pages, 0, self::PAGES) as $i => $page) {
            $pages[] = PageSvg::of($page, $book, $i + 1, $this->address(...));
        }

        return [$pages, \count($book->pages)];
    }

    private function address(string $picture): string
    {
        return route('read.picture', [request()->route('end'), $picture]);
    }
}
