<?php

declare(strict_types=1);

namespace Embrel\Writer\Html;

use Embrel\Document\PictureType;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\Printed;
use Embrel\Film\Frame;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Writer\Losses;

/** The outline of the page that stands alone, a row for each topic, its note and its picture with it. */
final class AloneRows
{
    /** @var array<string, array{string, int}> picture → the topic with which it stands, and the how many-eth of its pictures it is */
    public array $pictures = [];
    private readonly Printed $printed;

    public function __construct(
        private readonly Plan $plan,
        private readonly Numbering $numbering,
        private readonly Choices $choices,
        private readonly Losses $losses,
    ) {
        $topics = $plan->branch($choices->from);
        $this->printed = Printed::of($plan, $numbering, $topics, array_fill_keys(Draft::topics($plan, $choices->from), true));
    }

    /** @param resource $out */
    public function write($out): void
    {
        fwrite($out, '<ul role="tree" aria-label="Topics" id="alone-rows">');
        $opening = $this->plan->topic($this->choices->from);
        $note = $this->note($opening->id);
        if ($note !== '') {
            fwrite($out, $this->row([$opening->id, 1, '', 'Opening note', 'section', 'slate', $opening->words], false, $note));
        }
        $rows = Frame::under($this->plan, $this->choices->from, $this->numbering);
        foreach ($rows as $i => $row) {
            fwrite($out, $this->row($row, ($rows[$i + 1][1] ?? 0) > $row[1], $this->note($row[0])));
        }
        fwrite($out, "</ul>\n" . ($rows === [] && $note === '' ? "<p>There is nothing in this plan yet.</p>\n" : ''));
    }

    /** @param array{string, int, string, string, string, string, int} $row id, level, number, title, kind, dye, words */
    private function row(array $row, bool $hasParts, string $note): string
    {
        [$id, $level, $number, $title, $kind, $dye, $words] = $row;
        $colour = str_starts_with($dye, '#') ? $dye : "var(--{$dye})";

        return "<li role=\"treeitem\" id=\"t{$id}\" aria-labelledby=\"n{$id}\" aria-level=\"{$level}\" tabindex=\"-1\" class=\"kind-{$kind}"
            . ($note === '' ? '' : ' has-note')
            . '"'
            . ($hasParts ? ' aria-expanded="true"' : '') . ' style="--l:' . ($level - 1) . ";--d:{$colour}\">"
            . "<div class=\"row\" id=\"n{$id}\"><span class=\"n\">"
            . HtmlWriter::escaped($number) . '</span><span class="t" dir="auto">' . (HtmlWriter::escaped($title) ?: 'Untitled') . '</span>'
            . ($words === 0 ? '' : "<small>{$words}</small>") . '</div>'
            . ($note === '' ? '' : "<div class=\"note\" dir=\"auto\">{$note}</div>") . "</li>\n";
    }

    /** What stands with a topic: its own picture, then its note. */
    private function note(string $id): string
    {
        $topic = $this->plan->topic($id);
        $count = 0;
        $html = '';
        $address = function (string $picture) use ($id, &$count): ?string {
            $bytes = $this->choices->pictures?->bytes($picture);
            if ($bytes === null) {
                return null;
            }
            $this->pictures[$picture] ??= [$id, $count];
            ++$count;

            return 'data:' . PictureType::of($bytes)->mediaType() . ';base64,' . base64_encode($bytes);
        };
        if ($topic->picture !== null && $this->choices->draft->showsPictures) {
            $source = $address($topic->picture->id);
            $html = $source === null ? '' : "<p><img src=\"{$source}\" alt=\"" . HtmlWriter::escaped($topic->title) . '"></p>';
        }
        $note = $this->choices->notes && $topic->noted ? $this->printed->note($id) : null;
        if ($note instanceof Note && !$note->isEmpty()) {
            $blocks = $this->choices->draft->showsPictures
                ? $note->blocks
                : array_filter($note->blocks, static fn($block): bool => $block->type !== NodeType::Picture);
            // Footnotes are counted in each note: their names say of which.
            $html .= preg_replace(
                '/( href="#| id=")(noted?-\d+)"/',
                "\$1\$2-{$id}\"",
                (new HtmlWriter($this->losses, $address, isFile: true))->blocks($blocks),
            );
        }

        return $html;
    }
}
