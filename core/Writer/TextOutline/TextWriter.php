<?php

declare(strict_types=1);

namespace Embrel\Writer\TextOutline;

use Embrel\Citation\References;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\Printed;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\Note;
use Embrel\Writer\Losses;
use Embrel\Writer\Writer;

/** The numbered outline: a line a topic, two spaces a level, a note under its topic one level in behind a bar. */
final class TextWriter implements Writer
{
    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $numbering = Numbering::of($plan, $choices->scheme, $choices->numberDepth);
        $top = $plan->topic($choices->from);
        $printed = $choices->notes ? Printed::of($plan, $numbering, Draft::topics($plan, $choices->from), [], $choices->allSources) : null;
        fwrite($out, $top->title . "\n" . $this->note($printed?->note($choices->from), '') . "\n");
        $skipBelow = PHP_INT_MAX;
        $buffer = '';
        foreach ($plan->walk($choices->from) as $id => $level) {
            if ($level > $skipBelow) {
                continue;
            }
            $topic = $plan->topics[$id];
            if ($topic->kind === Kind::Aside) {
                $skipBelow = $level;
                continue;
            }
            $skipBelow = PHP_INT_MAX;
            $indent = str_repeat('  ', $level - 1);
            $number = $numbering->own[$id] ?? ($topic->kind === Kind::Section ? '' : '-');
            $buffer .= $indent . ($number === '' ? '' : $number . ' ') . $topic->title . "\n";
            if ($topic->noted) {
                $buffer .= $this->note($printed?->note($id), $indent . '  ');
            }
            if (\strlen($buffer) > 65536) {
                fwrite($out, $buffer);
                $buffer = '';
            }
        }
        fwrite(
            $out,
            $buffer . ($printed === null ? '' : self::references($printed->references)) . ($choices->outline->loose ? $this->loose($plan) : ''),
        );
        $losses = Losses::ofText($plan, $choices->from, $choices->notes);
        $losses->also($printed->missing ?? []);

        return $losses->sentences();
    }

    private function note(?Note $note, string $indent): string
    {
        $text = $note === null ? '' : TextNote::of($note);

        return $text === '' ? '' : $indent . '| ' . str_replace("\n", "\n{$indent}| ", $text) . "\n";
    }

    private static function references(References $references): string
    {
        $lines = array_map(static fn(array $entry): string => Node::paragraph($entry['runs'])->plainText() . "\n", $references->list);

        return $lines === [] ? '' : "\n{$references->heading}\n" . implode('', $lines);
    }

    private function loose(Plan $plan): string
    {
        $lines = $plan->parts(Plan::TRAY) === [] ? '' : "\nLoose ideas\n";
        foreach ($plan->walk(Plan::TRAY) as $id => $level) {
            $lines .= str_repeat('  ', $level) . '- ' . $plan->topics[$id]->title . "\n";
        }

        return $lines;
    }
}
