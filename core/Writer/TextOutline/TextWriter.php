<?php

declare(strict_types=1);

namespace Embrel\Writer\TextOutline;

use Embrel\Draft\Choices;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Writer\Losses;
use Embrel\Writer\Writer;

/** Numbered text: a line a topic, two spaces a level, the note under its topic one level in behind a bar. */
final class TextWriter implements Writer
{
    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $numbering = Numbering::of($plan, $choices->scheme, $choices->numberDepth);
        $top = $plan->topic($choices->from);
        fwrite($out, $top->title . "\n" . ($choices->notes ? $this->note($top->note?->plainText(), '') : '') . "\n");
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
            if ($choices->notes && $topic->note !== null) {
                $buffer .= $this->note($topic->note->plainText(), $indent . '  ');
            }
            if (\strlen($buffer) > 65536) {
                fwrite($out, $buffer);
                $buffer = '';
            }
        }
        fwrite($out, $buffer . ($choices->loose ? $this->loose($plan) : ''));

        return Losses::ofPictures($plan, $choices->from)->sentences();
    }

    private function note(?string $text, string $indent): string
    {
        if ($text === null || trim($text) === '') {
            return '';
        }

        return $indent . '| ' . str_replace("\n", "\n{$indent}| ", trim($text)) . "\n";
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
