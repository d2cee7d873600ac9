<?php

declare(strict_types=1);

namespace Embrel\Check\Research;

/** What a person has decided for one topic. */
final readonly class Filed
{
    /**
     * @param string|null                 $into   of Filing::Note: the topic whose note takes it
     * @param array<array-key, mixed>|null $source of Filing::Source: the fields as they were confirmed, without an id
     */
    public function __construct(public string $topic, public Filing $as, public ?string $into = null, public ?array $source = null) {}
}
