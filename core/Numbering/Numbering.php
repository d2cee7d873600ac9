<?php

declare(strict_types=1);

namespace Embrel\Numbering;

use Embrel\Plan\Plan;
use Embrel\Plan\Scheme;
use Embrel\Plan\Topic;

/**
 * The numbers of a plan's topics. Sections take numbers; points only in the essay scheme; quotes
 * and asides none. What is under a topic without a number has none either. Linear in the tree.
 */
final readonly class Numbering
{
    /**
     * @param array<string, string> $own  topic → what stands before its title (“A.”); a topic without a number is missing
     * @param array<string, string> $afar topic → what names it from afar (“I.A”), where that is something else
     */
    private function __construct(public array $own, private array $afar) {}

    /** With the plan's own scheme, or another for one hand-over. */
    public static function of(Plan $plan, ?Scheme $scheme = null, ?int $depth = null): self
    {
        $scheme ??= $plan->properties->scheme;
        if ($scheme === Scheme::None) {
            return new self([], []);
        }
        $counting = new Counting(
            $plan,
            $scheme,
            $depth ?? $plan->properties->depth,
            $scheme->canRunOn() && $plan->properties->runOn,
        );
        $open = [Counting::START];
        while ($open !== []) {
            $below = $counting->parts(array_pop($open));
            foreach (array_reverse($below) as $frame) {
                $open[] = $frame;
            }
        }

        return new self($counting->own, $counting->afar);
    }

    /** What stands before the title; '' where it has no number. */
    public function own(string $id): string
    {
        return $this->own[$id] ?? '';
    }

    /** Its number and its title, as it is called where it does not stand. */
    public function titled(Topic $topic): string
    {
        return trim("{$this->own($topic->id)} {$topic->title}");
    }

    /** What names it from afar. */
    public function full(string $id): string
    {
        return $this->afar[$id] ?? ($this->own[$id] ?? '');
    }
}
