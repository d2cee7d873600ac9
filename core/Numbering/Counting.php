<?php

declare(strict_types=1);

namespace Embrel\Numbering;

use Embrel\Language\Language;
use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;
use Embrel\Plan\Scheme;
use Embrel\Plan\Topic;

/** Counts off the parts of one parent after another, in reading order of the parents. */
final class Counting
{
    /**
     * The frame of the main sections. A frame: parent, its level, what stands before joined numbers, its full form,
     * whether it is in an appendix.
     */
    public const START = [Plan::ROOT, 0, '', '', false];

    /** @var array<string, string> see Numbering */
    public array $own = [];
    /** @var array<string, string> see Numbering */
    public array $afar = [];
    private int $chapters = 0;
    private readonly Language $language;
    private readonly ?Own $forms;

    public function __construct(
        private readonly Plan $plan,
        private readonly Scheme $scheme,
        private readonly int $depth,
        private readonly bool $runOn,
    ) {
        $this->language = Language::of($plan->properties->language);
        $this->forms = $scheme === Scheme::Own ? new Own($plan->properties) : null;
    }

    /**
     * Numbers the parts of a parent.
     *
     * @param array{string, int, string, string, bool} $frame
     *
     * @return array<string, array{string, int, string, string, bool}> part → the frame for its own parts, of those whose parts take numbers
     */
    public function parts(array $frame): array
    {
        [$parent, $level, $stem, $full, $inAppendix] = $frame;
        $runsOn = $this->runOn && $level === 1;
        $count = $runsOn ? $this->chapters : 0;
        $appendices = 0;
        $below = [];
        $usual = $inAppendix ? Form::underAppendix() : Form::of($this->scheme, $level + 1, $this->language, $this->runOn);
        foreach ($this->plan->parts[$parent] ?? [] as $id) {
            $topic = $this->plan->topics[$id];
            if (!self::takesNumber($topic, $this->scheme)) {
                continue;
            }
            $appendix = $topic->numbered === Numbered::Appendix;
            if ($this->forms !== null && !$appendix && !$inAppendix) {
                $frame = $this->own($id, ++$count, $level, $stem, $full);
                if ($frame !== null) {
                    $below[$id] = $frame;
                }
                continue;
            }
            $form = $appendix ? Form::appendix($this->scheme, $level + 1, $this->language) : $usual;
            if ($form === null) {
                continue;
            }
            $written = $form->counter->write($appendix ? ++$appendices : ++$count);
            $own = $bare = $form->joined && $stem !== '' ? "{$stem}.{$written}" : $written;
            $afar = $bare;
            if ($form->before !== '' || $form->after !== '') {
                $own = $form->before . $bare . $form->after;
                $this->afar[$id] = $afar = self::fromAfar($form, $own, $written, $full);
            }
            $this->own[$id] = $own;
            if ($level + 1 < $this->depth && isset($this->plan->parts[$id])) {
                $below[$id] = [$id, $level + 1, $this->runOn && $level === 0 && !$appendix ? '' : $bare, $afar, $inAppendix || $appendix];
            }
        }
        if ($runsOn && !$inAppendix) {
            $this->chapters = $count;
        }

        return $below;
    }

    /**
     * In a form of the writer's own. What stands before joined numbers is the counts of the levels, which the forms below it may name.
     *
     * @return array{string, int, string, string, bool}|null the frame for its own parts
     */
    private function own(string $id, int $count, int $level, string $stem, string $full): ?array
    {
        $counts = array_map(intval(...), $stem === '' ? [] : explode('.', $stem));
        $counts[] = $count;
        $own = $this->forms?->write($counts);
        if ($own !== null) {
            $this->own[$id] = $own;
            $isWhole = $full === '' || \count($this->forms?->form($level + 1)->signs ?? []) + ($this->runOn ? 1 : 0) > $level;
            $this->afar[$id] = rtrim($isWhole ? $own : "{$full}, {$own}", '.');
        }

        return $level + 1 < $this->depth && isset($this->plan->parts[$id])
            ? [$id, $level + 1, implode('.', $counts), $this->afar[$id] ?? $full, false]
            : null;
    }

    public static function takesNumber(Topic $topic, Scheme $scheme): bool
    {
        return $topic->numbered !== Numbered::None
            && ($topic->kind === Kind::Section || ($topic->kind === Kind::Point && $scheme === Scheme::Essay));
    }

    private static function fromAfar(Form $form, string $own, string $written, string $above): string
    {
        if ($form->joined || $above === '' || $form->isComplete) {
            return rtrim($own, '.');
        }

        return $above . ($form->before === '(' ? '' : '.') . rtrim($form->before . $written . $form->after, '.');
    }
}
