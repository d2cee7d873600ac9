<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Citation\Csl\CslError;
use Embrel\Citation\Csl\Effort;
use Embrel\Citation\Csl\Locales;
use Embrel\Citation\Csl\Style;
use Embrel\Citation\Csl\StyleFile;
use Embrel\Citation\Csl\StyleReader;
use Embrel\Language\Language;
use Embrel\Shelf\Shelf;

/** A style that a plan can be printed in: one that ships (StyleTable), or a file that somebody brought. */
final readonly class CitationStyle
{
    public const USUAL = 'apa';
    /** How the keys of styles begin that somebody brought. */
    public const OWN = 'own-';
    /** Styles that one process keeps ready. */
    private const READY = 12;

    /** @param string $key as isKey() wants it */
    public function __construct(public string $key = self::USUAL, private ?KeptStyles $kept = null) {}

    public static function isKey(string $key): bool
    {
        return isset(StyleTable::ALL[$key]) || preg_match('/\Aown-[0-9a-f]{32}\z/', $key) === 1;
    }

    /** The key of a file that somebody brought: the same file has the same, whoever brings it. */
    public static function keyOf(string $xml): string
    {
        return self::OWN . substr(hash('sha256', $xml), 0, 32);
    }

    /** Another style, found in the same places; null: the key is none. */
    public function another(string $key): ?self
    {
        return match (true) {
            $key === $this->key => $this,
            self::isKey($key) => new self($key, $this->kept),
            default => null,
        };
    }

    public function keptIn(KeptStyles $kept): self
    {
        return new self($this->key, $kept);
    }

    public function isOwn(): bool
    {
        return str_starts_with($this->key, self::OWN);
    }

    public function label(): string
    {
        return StyleTable::ALL[$this->key][0] ?? $this->file()->title ?? 'A style that is not here any more; APA stands in for it';
    }

    public function citedAs(): CitedAs
    {
        return StyleTable::ALL[$this->printing()->key][1] ?? $this->file()->citedAs ?? CitedAs::AuthorDate;
    }

    /** The manual that it is written from; null: it is a file of others. */
    public function manual(): ?Manual
    {
        return Manual::tryFrom($this->printing()->key);
    }

    /** What the list is called at the end of the draft. */
    public function heading(string $language): string
    {
        return Language::of($language)->say($this->manual() === Manual::Numbered ? 'sources' : $this->citedAs()->heading());
    }

    /** The style that says how it is printed: itself, or the one that it follows. One that is not there is printed in the usual one. */
    private function printing(): self
    {
        if (!$this->isOwn()) {
            return $this;
        }
        $file = $this->file();

        return match (true) {
            $file === null => new self(),
            $file->parent === '' => $this,
            default => new self(StyleTable::named($file->parent) ?? self::USUAL),
        };
    }

    /** What its printing may cost, from now on; null: it ships, and has no end that is out of sight. */
    public function effort(): ?Effort
    {
        return $this->isOwn() ? $this->kept?->effort() : null;
    }

    /** What its file says of itself; null: it is none that somebody brought, or it is not there any more. */
    private function file(): ?StyleFile
    {
        /** @var array<string, StyleFile> $read each is read once: a key has one content for ever */
        static $read = [];
        $xml = $this->isOwn() && !isset($read[$this->key]) ? $this->kept?->file($this->key) : null;
        if ($xml !== null) {
            $read = \array_slice($read, 1 - self::READY, null, true) + [$this->key => StyleFile::read($xml)];
        }

        return $read[$this->key] ?? null;
    }

    /** @param string $language a language tag */
    public function style(string $language): Style
    {
        /** @var array<string, Style> $ready each is read once */
        static $ready = [];
        $printing = $this->printing();
        $name = "{$printing->key} {$language}";
        if (!isset($ready[$name])) {
            $ready = \array_slice($ready, 1 - self::READY, null, true) + [$name => $printing->read($language)];
        }

        return $ready[$name];
    }

    private function read(string $language): Style
    {
        $manual = Manual::tryFrom($this->key);
        $xml = $this->isOwn() ? $this->file()?->xml : Shelf::style($this->key);
        $style = StyleReader::read(
            $xml ?? throw new CslError("There is no style “{$this->key}”."),
            new Locales(Shelf::locale(...)),
            $language,
            $manual === null ? '' : OwnWords::locale(Language::of($language)),
        );
        $style->etAlIsPlural = $manual?->etAlIsPlural() ?? false;
        $style->casesMacros = $manual !== null;

        return $style;
    }
}
