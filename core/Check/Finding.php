<?php

declare(strict_types=1);

namespace Embrel\Check;

use Embrel\Search\Hit;

/** One thing that was seen: by which rule, on what, and where. */
final readonly class Finding
{
    /**
     * @param list<string>              $topics  the first is where one goes; empty: it is about a source
     * @param array<string, int|string> $facts   what its words tell: numbers and texts by name
     * @param Hit|null                  $hit     where in the title or note
     * @param list<string>              $sources
     * @param string                    $thing   what tells it from others of its rule on the same topic, whatever moves around it
     */
    public function __construct(
        public Rule $rule,
        public array $topics,
        public array $facts = [],
        public ?Hit $hit = null,
        public array $sources = [],
        private string $thing = '',
    ) {}

    /** Names it as long as what it is about stays as it is: by this it is set aside. */
    public function key(): string
    {
        $about = $this->sources === [] ? ($this->topics[0] ?? '') : '';

        return "{$this->rule->value}:{$about}" . ($this->thing === '' ? '' : ':' . substr(hash('xxh128', $this->thing), 0, 10));
    }
}
