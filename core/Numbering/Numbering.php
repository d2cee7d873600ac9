<?php

declare(strict_types=1);

namespace Embrel\Numbering;

use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;
use Embrel\Plan\Scheme;
use Embrel\Plan\Topic;

/**
 * The numbers of a plan's topics. Sections take numbers; points only in the essay scheme; quotes
 * and asides none. What is under a topic without a number has none either. Linear in the tree.
 */
final readonly class Numbering
{
    /** @param array<string, Label> $labels topic → label; a topic without a number is missing */
    private function __construct(public array $labels) {}

    /** With the plan's own scheme, or another for one hand-over. */
    public static function of(Plan $plan, ?Scheme $scheme = null, ?int $depth = null): self
    {
        $scheme ??= $plan->properties->scheme;
        $depth ??= $plan->properties->depth;
        if ($scheme === Scheme::None) {
            return new self([]);
        }
        $labels = [];
        $runOn = $scheme === Scheme::Chapter && $plan->properties->runOn;
        $chapters = 0;
        // Each entry: parent, its level, what stands before joined numbers, full form, whether in an appendix.
        $open = [[Plan::ROOT, 0, '', '', false]];
        while ($open !== []) {
            [$parent, $level, $stem, $full, $inAppendix] = array_pop($open);
            $count = $runOn && $level === 1 ? $chapters : 0;
            $appendices = 0;
            $below = [];
            $usual = $inAppendix ? Form::underAppendix() : Form::of($scheme, $level + 1, $runOn);
            foreach ($plan->parts($parent) as $id) {
                $topic = $plan->topics[$id];
                if (!self::takesNumber($topic, $scheme)) {
                    continue;
                }
                $appendix = $topic->numbered === Numbered::Appendix;
                $form = $appendix ? Form::appendix($scheme, $level + 1) : $usual;
                if ($form === null) {
                    continue;
                }
                $written = $form->counter->write($appendix ? ++$appendices : ++$count);
                $bare = $form->joined && $stem !== '' ? "{$stem}.{$written}" : $written;
                $labels[$id] = self::label($form, $bare, $written, $full);
                if (isset($plan->parts[$id]) && $level + 1 < $depth) {
                    $below[] = [$id, $level + 1, $runOn && $level === 0 && !$appendix ? '' : $bare, $labels[$id]->full, $inAppendix || $appendix];
                }
            }
            $chapters = $runOn && $level === 1 && !$inAppendix ? $count : $chapters;
            foreach (array_reverse($below) as $next) {
                $open[] = $next;
            }
        }

        return new self($labels);
    }

    public static function takesNumber(Topic $topic, Scheme $scheme): bool
    {
        return $topic->numbered !== Numbered::None
            && ($topic->kind === Kind::Section || ($topic->kind === Kind::Point && $scheme === Scheme::Essay));
    }

    private static function label(Form $form, string $bare, string $written, string $full): Label
    {
        if ($form->before === '' && $form->after === '') {
            return new Label($bare, $bare);
        }
        $own = $form->before . $bare . $form->after;
        if ($form->joined || $full === '' || str_starts_with($form->before, 'Chapter')) {
            return new Label($own, rtrim($own, '.'));
        }

        return new Label($own, $full . ($form->before === '(' ? '' : '.') . rtrim($form->before . $written . $form->after, '.'));
    }

    public function own(string $id): string
    {
        return isset($this->labels[$id]) ? $this->labels[$id]->own : '';
    }

    public function full(string $id): string
    {
        return isset($this->labels[$id]) ? $this->labels[$id]->full : '';
    }

    /**
     * Where these differ from earlier numbers: one run for each parent, from the first part that
     * differs to the last, so that a move that shifts many costs little.
     *
     * @return list<array{parent: string, from: int, own: list<string>}>
     */
    public function runsSince(?self $before, Plan $plan): array
    {
        $runs = [];
        foreach ($plan->parts as $parent => $parts) {
            $from = null;
            $own = [];
            $last = 0;
            foreach ($parts as $i => $id) {
                $label = isset($this->labels[$id]) ? $this->labels[$id]->own : '';
                $differs = $label !== (isset($before->labels[$id]) ? $before->labels[$id]->own : '');
                if ($differs) {
                    $from ??= $i;
                    $last = $i;
                }
                if ($from !== null) {
                    $own[] = $label;
                }
            }
            if ($from !== null) {
                $runs[] = ['parent' => (string) $parent, 'from' => $from, 'own' => \array_slice($own, 0, $last - $from + 1)];
            }
        }

        return $runs;
    }
}
