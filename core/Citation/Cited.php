<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\RichText\Node;

/** One source within a citation: what is cited of it, and what is said around it. */
final readonly class Cited
{
    public function __construct(
        public string $source,
        public string $pages = '',
        public string $prefix = '',
        public string $suffix = '',
        public bool $withoutAuthor = false,
    ) {}

    /**
     * @return list<self> what a citation of a note names
     */
    public static function of(Node $citation): array
    {
        $out = [];
        /** @var array{source: string, pages?: string, prefix?: string, suffix?: string, withoutAuthor?: bool} $item */
        foreach (\is_array($items = $citation->attrs['items'] ?? []) ? $items : [] as $item) {
            $out[] = new self(
                $item['source'],
                trim($item['pages'] ?? ''),
                trim($item['prefix'] ?? ''),
                trim($item['suffix'] ?? ''),
                $item['withoutAuthor'] ?? false,
            );
        }

        return $out;
    }

    public function isBare(): bool
    {
        return $this->pages === '' && $this->prefix === '' && $this->suffix === '';
    }
}
