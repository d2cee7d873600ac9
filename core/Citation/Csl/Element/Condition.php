<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Cite;
use Embrel\Citation\Csl\Flat;
use Embrel\Citation\Csl\Numbers;
use Embrel\Citation\Csl\Printing;

/** The tests of one branch, of which all, any or none must hold. */
final readonly class Condition
{
    /**
     * @param list<array{string, string}> $tests kind and value, each value by itself
     * @param array<string, true>|null    $types of which the item must be one, or with “none” none
     */
    public function __construct(private array $tests, private string $match, private ?array $types = null) {}

    /** What is left of it for items of one shape: whether it holds, or what it depends on besides. */
    public function of(Pruning $pruning): self|bool
    {
        $answers = $this->types === null ? [] : [isset($this->types[$pruning->type])];
        $open = [];
        foreach ($this->tests as [$kind, $value]) {
            $holds = self::known($kind, $pruning->says($value));
            if ($holds === null) {
                $open[] = [$kind, $value];
            } else {
                $answers[] = $holds;
            }
        }
        if (\in_array($this->match !== 'all', $answers, true)) {
            return $this->match === 'any';
        }

        return $open === [] ? $this->match !== 'any' : new self($open, $this->match);
    }

    /** Whether a test holds by what an item says of its variable; null where that does not settle it. */
    private static function known(string $kind, ?bool $says): ?bool
    {
        return match ($kind) {
            'variable' => $says,
            'is-numeric', 'is-uncertain-date' => $says === false ? false : null,
            default => null,
        };
    }

    /** Whether it holds, where what it asks of the shape is settled (of()). */
    public function holds(Printing $printing): bool
    {
        foreach ($this->tests as [$kind, $value]) {
            $holds = self::test($kind, $value, $printing);
            if ($this->match === 'any' && $holds) {
                return true;
            }
            if (($this->match === 'none' && $holds) || ($this->match === 'all' && !$holds)) {
                return false;
            }
        }

        return $this->match !== 'any';
    }

    private static function test(string $kind, string $value, Printing $printing): bool
    {
        return match ($kind) {
            'variable' => $printing->has($value),
            'is-numeric' => Numbers::isNumeric(Flat::plain($printing->text($value))),
            'is-uncertain-date' => isset($printing->item->dates[$value]) && $printing->item->dates[$value]->circa,
            'locator' => $printing->cite !== null && $printing->cite->locator !== '' && $printing->cite->label === $value,
            'position' => self::stands($value, $printing),
            'disambiguate' => $printing->isAmbiguous === ($value === 'true'),
            default => false,
        };
    }

    private static function stands(string $value, Printing $printing): bool
    {
        $cite = $printing->cite;
        if ($cite === null) {
            return false;
        }

        return match ($value) {
            'first' => $cite->position === Cite::FIRST,
            'subsequent' => $cite->position >= Cite::SUBSEQUENT,
            'ibid' => $cite->position >= Cite::IBID,
            'ibid-with-locator' => $cite->position === Cite::IBID_WITH_LOCATOR,
            'near-note' => $cite->isNear,
            default => false,
        };
    }
}
