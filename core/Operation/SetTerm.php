<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Glossary;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;

/** Chooses a term for the glossary and the index, says what it means, or lets it go. */
final readonly class SetTerm extends Basic
{
    /** @param string|null $says what it means, which may be empty; null: it is chosen no more */
    public function __construct(public string $words, public ?string $says) {}

    public function apply(Plan $plan): Plan
    {
        try {
            $words = Glossary::words($this->words);
            $pairs = $this->says === null ? [] : [[$words, $this->says]];
            foreach ($plan->properties->terms as $term => $says) {
                if (Glossary::key((string) $term) !== Glossary::key($words)) {
                    $pairs[] = [(string) $term, $says];
                }
            }

            return $plan->withProperties($plan->properties->with(['terms' => $pairs]));
        } catch (InvalidValue $why) {
            throw OperationRefused::value($why);
        }
    }

    public function toArray(): array
    {
        return ['type' => 'term', 'words' => $this->words, 'says' => $this->says];
    }
}
