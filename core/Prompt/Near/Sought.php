<?php

declare(strict_types=1);

namespace Embrel\Prompt\Near;

use Embrel\Language\Tongue;
use Embrel\Words;

/**
 * What passages are looked for by: the words of a topic or of a marked passage, each as it stands and how much it counts
 * there. Words of the title count twice.
 */
final readonly class Sought
{
    /** So many words are looked for: those that say most. */
    public const MOST = 16;
    private const TITLE = 2;
    /** How soon a word that is said again and again stops to count for more (k3 of Robertson and Zaragoza 2009, 3.4.1). */
    private const SATURATION = 8;

    /** With so few words, one of them is enough to tie a passage. */
    private const FEW = 2;

    /**
     * @param array<string, int>  $words word, in small letters → how often
     * @param array<string, true> $heads those of the title
     */
    private function __construct(public array $words, private array $heads) {}

    public static function of(Tongue $tongue, string $title, string $text): self
    {
        $words = $forms = $heads = [];
        foreach ([[$title, self::TITLE], [$text, 1]] as [$part, $weight]) {
            foreach (array_count_values(Words::of(mb_strtolower($part))) as $word => $times) {
                $stem = $tongue->stem((string) $word);
                if ($stem !== '') {
                    // One form stands for all that have its stem.
                    $forms[$stem] ??= (string) $word;
                    $words[$forms[$stem]] = ($words[$forms[$stem]] ?? 0) + $times * $weight;
                    $weight === self::TITLE ? $heads[$forms[$stem]] = true : null;
                }
            }
        }

        return new self($words, $heads);
    }

    /**
     * The words that say most: those that stand often here and seldom elsewhere.
     *
     * @param array<string, int> $passages word → in how many passages of one's own it stands
     */
    public function narrowed(array $passages, int $all): self
    {
        if (\count($this->words) <= self::MOST) {
            return $this;
        }
        $says = [];
        foreach ($this->words as $word => $times) {
            $says[$word] = $this->weight((string) $word) * Bm25::rarity($passages[$word] ?? 0, $all);
        }
        arsort($says);

        return new self(array_intersect_key($this->words, \array_slice($says, 0, self::MOST, true)), $this->heads);
    }

    /**
     * Whether what a passage shares with it is more than chance: two words, or one of the title.
     *
     * @param list<array-key> $words
     */
    public function isTiedBy(array $words): bool
    {
        return \count($words) > 1
            || \count($this->words) <= self::FEW
            || array_filter($words, fn(int|string $word): bool => isset($this->heads[$word])) !== [];
    }

    public function weight(string $word): float
    {
        $times = $this->words[$word] ?? 0;

        return (self::SATURATION + 1) * $times / (self::SATURATION + $times);
    }

    /** @return array<string, string> the stem that each word has in a language → the word */
    public function stems(Tongue $tongue): array
    {
        $stems = [];
        foreach ($this->words as $word => $_) {
            $stem = $tongue->stem((string) $word);
            $stem === '' ? null : $stems[$stem] ??= (string) $word;
        }

        return $stems;
    }
}
