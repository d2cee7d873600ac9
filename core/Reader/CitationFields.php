<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Citation\Exchange\CslJson;
use Embrel\Document\Reading;
use Embrel\Id\Ulid;
use Embrel\Limits;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/**
 * Citations that a document carries as CSL-JSON, in the instruction of a field or the name of a mark. A work that comes more than once is
 * one source; one of ours is that very source.
 */
final class CitationFields
{
    private const MOST = 100;
    private const LONGEST = 2000;

    public function __construct(private readonly Reading $reading) {}

    /** @return string|null the CSL-JSON in an instruction or a name; null: it is no citation */
    public static function in(string $text): ?string
    {
        return preg_match('/\b' . CslJson::CITATION . '\s*(\{.*\})/s', $text, $m) === 1 ? $m[1] : null;
    }

    public static function isList(string $text): bool
    {
        return preg_match('/\b' . CslJson::LIST . '\b/', $text) === 1;
    }

    /** The citation; null where nothing in it can be read: then what it shows stays as text. */
    public function citation(string $json): ?Node
    {
        $read = json_decode($json, true, 32);
        $items = [];
        $given = \is_array($read) ? $read['citationItems'] ?? null : null;
        foreach (\is_array($given) ? \array_slice($given, 0, self::MOST) : [] as $one) {
            $source = \is_array($one) ? $this->source($one) : null;
            if ($source === null || !\is_array($one)) {
                return null;
            }
            $text = static function (string $key) use ($one): string {
                $value = $one[$key] ?? '';

                return \is_string($value) || \is_int($value) ? trim((string) $value) : '';
            };
            $items[] = array_filter([
                'source' => $source,
                'pages' => self::pages($text('label'), $text('locator')),
                'prefix' => mb_substr($text('prefix'), 0, self::LONGEST),
                'suffix' => mb_substr(ltrim($text('suffix'), ', '), 0, self::LONGEST),
                'withoutAuthor' => ($one['suppress-author'] ?? false) === true,
            ], static fn(mixed $value): bool => $value !== '' && $value !== false);
        }

        return $items === [] ? null : new Node(NodeType::Citation, ['items' => $items]);
    }

    /**
     * @param array<array-key, mixed> $item
     *
     * @return string|null the id of its source
     */
    private function source(array $item): ?string
    {
        $data = $item['itemData'] ?? null;
        if (!\is_array($data)) {
            return null;
        }
        $given = \is_string($item['id'] ?? null) ? $item['id'] : '';
        $known = json_encode([$data['id'] ?? '', $data['title'] ?? ''], JSON_PARTIAL_OUTPUT_ON_ERROR) ?: '';
        $id = Ulid::isValid($given) ? $given : Ulid::derived($known);
        if (!isset($this->reading->sources[$id])) {
            $source = \count($this->reading->sources) < Limits::SOURCES ? Csl\CslItem::source($data, $id) : null;
            if ($source === null) {
                return null;
            }
            $this->reading->sources[$id] = $source;
        }

        return $id;
    }

    /** As it is typed: pages as they are, another place with its word. */
    private static function pages(string $label, string $locator): string
    {
        $word = CslJson::WORDS[$label] ?? '';

        return mb_substr($locator === '' || $word === '' ? $locator : "{$word} {$locator}", 0, self::LONGEST);
    }
}
