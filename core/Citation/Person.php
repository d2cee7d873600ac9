<?php

declare(strict_types=1);

namespace Embrel\Citation;

/**
 * One who wrote or edited something: a person with family and given names, or, without a given
 * name, an organisation (or someone of a single name), which is printed as it stands.
 */
final readonly class Person
{
    /** Particles that leave the family name behind where it comes first: Humboldt, Alexander von. */
    private const DROPPED = ['von', 'vom', 'zu', 'zum', 'zur', 'af', 'av', "d'", 'd’'];
    private const ORGANISATION = '/\b(?:Councils?|Offices?|Societ(?:y|ies)|Universit(?:y|ät)|College|Ministry|Department|Institut[e]?|Association|Board|Trust|Agency|Committee|Commission|Press|Museum|Library|Authority|Group|Foundation|Ministerium|Verein|Verband|Amt|Gesellschaft|Stiftung)\b/u';
    private const SUFFIX = '/\A(.+?),?\s+((?:Jr|Sr)\.?|I{2,3}|IV)\z/u';

    /**
     * @param string $particle what stands between them: van der, de la, von
     * @param string $suffix   what follows: Jr., III
     */
    public function __construct(
        public string $family,
        public string $given = '',
        public string $particle = '',
        public string $suffix = '',
    ) {}

    /** Out of two fields as they are typed: a particle may stand with either name, a suffix with the family name. */
    public static function of(string $family, string $given = ''): self
    {
        [$family, $given, $particle, $suffix] = [trim($family), trim($given), '', ''];
        if ($given === '') {
            return new self($family);
        }
        if (preg_match(self::SUFFIX, $family, $m) === 1) {
            [, $family, $suffix] = $m;
        } elseif (preg_match(self::SUFFIX, $given, $m) === 1) {
            [, $given, $suffix] = $m;
        }
        if (preg_match("/\\A((?:\\p{Ll}[\\p{Ll}'’]*\\s+|d['’])+)(\\p{Lu}.*)\\z/u", $family, $m) === 1) {
            [$particle, $family] = [trim($m[1]), $m[2]];
        } elseif (preg_match('/\A(.*?\S)((?:\s+\p{Ll}{1,4})+)\z/u', $given, $m) === 1) {
            [$given, $particle] = [$m[1], trim($m[2])];
        }

        return new self($family, $given, $particle, $suffix);
    }

    /** Out of one line: “Pell, Anna” or “Anna van der Pell”; what calls itself a council, a press… is an organisation. */
    public static function typed(string $line): self
    {
        $line = trim($line);
        if (preg_match(self::ORGANISATION, $line) === 1) {
            return new self($line);
        }
        if (preg_match('/\A([^,]+),\s*((?:Jr|Sr)\.?|I{2,3}|IV),\s*(.+)\z/u', $line, $m) === 1) {
            return self::of("{$m[1]} {$m[2]}", $m[3]);
        }
        if (str_contains($line, ',')) {
            [$family, $given] = explode(',', $line, 2);

            return self::of($family, $given);
        }
        if (preg_match("/\\A(.+?)\\s+((?:\\p{Ll}[\\p{Ll}'’]*\\s+)*\\S+)\\z/u", $line, $m) !== 1) {
            return new self($line);
        }

        return self::of($m[2], $m[1]);
    }

    /** The family name with what belongs before it: van der Meer. */
    public function surname(): string
    {
        return $this->particle === ''
            ? $this->family
            : $this->particle . (preg_match('/[\'’]\z/u', $this->particle) === 1 ? '' : ' ') . $this->family;
    }

    /** Whether the particle stays behind where the family name comes first: Humboldt, Alexander von. */
    public function drops(): bool
    {
        return $this->particle !== '' && \in_array(mb_strtolower(strtok($this->particle, ' ') ?: ''), self::DROPPED, true);
    }

    /** Pell, Anna. */
    public function inverted(): string
    {
        return $this->given === ''
            ? $this->surname()
            : $this->surname() . ", {$this->given}" . ($this->suffix === '' ? '' : ", {$this->suffix}");
    }

    /** Anna Pell. */
    public function straight(): string
    {
        return trim($this->given . ' ' . $this->surname() . ($this->suffix === '' ? '' : " {$this->suffix}"));
    }
}
