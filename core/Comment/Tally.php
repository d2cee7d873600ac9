<?php

declare(strict_types=1);

namespace Embrel\Comment;

/** How the signs of a vote fall: each person has so many, for as many topics as they like. */
final readonly class Tally
{
    /** How many topics can be voted on, and signs be given to each person. */
    public const TOPICS = 200;
    public const SIGNS = 50;

    /**
     * @param list<string> $topics in the order of the text
     * @param int          $signs  that each person has
     */
    public function __construct(public array $topics, public int $signs) {}

    /**
     * What one person gave, as far as it counts: signs on these topics, one at least, and no more in all than there are.
     *
     * @param array<string, int> $given topic → signs
     *
     * @return array<string, int>
     *
     * @throws TooManySigns
     */
    public function ballot(array $given): array
    {
        $ballot = array_filter(
            array_intersect_key($given, array_fill_keys($this->topics, true)),
            static fn(int $signs): bool => $signs > 0,
        );
        if (array_sum($ballot) > $this->signs) {
            throw new TooManySigns("You have {$this->signs} " . ($this->signs === 1 ? 'sign' : 'signs') . ' to give.');
        }

        return $ballot;
    }

    /**
     * All ballots counted, the topic with most signs first; those with as many in the order of the text.
     *
     * @param list<array<string, int>> $ballots of each person
     *
     * @return array<string, int> topic → signs
     */
    public function counted(array $ballots): array
    {
        $counts = array_fill_keys($this->topics, 0);
        foreach ($ballots as $ballot) {
            foreach (array_intersect_key($ballot, $counts) as $topic => $signs) {
                $counts[$topic] += $signs;
            }
        }
        // Sorting is stable: those of one count stay in their order.
        arsort($counts);

        return $counts;
    }
}
