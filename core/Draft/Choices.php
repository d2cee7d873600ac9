<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Document\Pictures;
use Embrel\Plan\Plan;
use Embrel\Plan\Scheme;

/** What a writer chose for one hand-over: for every format, and for each kind of them. */
final readonly class Choices
{
    /**
     * @param string        $from        the topic to hand over with everything under it; the root: the whole plan
     * @param Scheme|null   $scheme      null: as the plan has it
     * @param int|null      $numberDepth null: as the plan has it
     * @param bool          $allSources  sources that are never cited are listed too
     * @param Pictures|null $pictures    where the pictures on topics are had from; null: they are left out
     */
    public function __construct(
        public string $from = Plan::ROOT,
        public ?Scheme $scheme = null,
        public ?int $numberDepth = null,
        public bool $notes = true,
        public bool $allSources = false,
        public ?Pictures $pictures = null,
        public DraftChoices $draft = new DraftChoices(),
        public MapChoices $map = new MapChoices(),
        public OutlineChoices $outline = new OutlineChoices(),
        public ShowChoices $show = new ShowChoices(),
    ) {}

    public function withPictures(?Pictures $pictures): self
    {
        return $this->with(['pictures' => $pictures]);
    }

    /** @param array<string, mixed> $changes of the draft: field → value of the field's own type */
    public function drafted(array $changes): self
    {
        return $this->with(['draft' => $this->draft->with($changes)]);
    }

    /** @param array<string, mixed> $changes */
    private function with(array $changes): self
    {
        return new self(...$changes + get_object_vars($this)); // @phpstan-ignore argument.type (both callers pass the field's own type)
    }
}
