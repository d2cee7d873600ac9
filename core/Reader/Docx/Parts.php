<?php

declare(strict_types=1);

namespace Embrel\Reader\Docx;

use Embrel\Archive\BadPackage;
use Embrel\Archive\Package;
use Embrel\Archive\Xml;

/** The parts of the package, found by their relationships (ECMA-376, part 2). */
final class Parts
{
    private const NO_PART = '';

    private readonly string $main;
    /** @var array<string, array<string, array{type: string, target: string, isExternal: bool}>> part → id → relationship */
    private array $relations = [];

    public function __construct(private readonly Package $package, private readonly string $work)
    {
        $root = $this->relationsOf('');
        $main = '';
        foreach ($root as $relation) {
            if ($relation['type'] === 'officeDocument') {
                $main = self::resolved('', $relation['target']);
                break;
            }
        }
        $this->main = $package->has($main)
            ? $main
            : ($package->has('word/document.xml')
                ? 'word/document.xml'
                : throw BadPackage::missing('word/document.xml'));
    }

    /** @param string $type of the relationship from the main part; empty for the main part itself */
    public function xml(string $type): ?Xml
    {
        $name = $type === '' ? $this->main : $this->named($type);
        if ($name === self::NO_PART) {
            return null;
        }
        $path = "{$this->work}/" . ($type === '' ? 'main' : $type) . '.xml';
        $this->package->copy($name, $path);

        return filesize($path) === 0 ? null : Xml::open($path);
    }

    public function coreProperties(): ?Xml
    {
        foreach ($this->relationsOf('') as $relation) {
            if ($relation['type'] === 'core-properties') {
                $name = self::resolved('', $relation['target']);

                return $this->package->has($name) ? Xml::of($this->package->text($name)) : null;
            }
        }

        return null;
    }

    /**
     * @return array<string, string> id → address, for the links and pictures of a part
     */
    public function links(string $type): array
    {
        $part = $type === '' ? $this->main : $this->named($type);
        $links = [];
        foreach ($part === self::NO_PART ? [] : $this->relationsOf($part) as $id => $relation) {
            $links[$id] = $relation['isExternal'] ? $relation['target'] : self::resolved($part, $relation['target']);
        }

        return $links;
    }

    public function isExternal(string $id): bool
    {
        return $this->relationsOf($this->main)[$id]['isExternal'] ?? false;
    }

    private function named(string $type): string
    {
        foreach ($this->relationsOf($this->main) as $relation) {
            if ($relation['type'] === $type && !$relation['isExternal']) {
                $name = self::resolved($this->main, $relation['target']);

                return $this->package->has($name) ? $name : self::NO_PART;
            }
        }

        return self::NO_PART;
    }

    /** @return array<string, array{type: string, target: string, isExternal: bool}> */
    private function relationsOf(string $part): array
    {
        if (isset($this->relations[$part])) {
            return $this->relations[$part];
        }
        $slash = strrpos($part, '/');
        $name
            = ($slash === false ? '' : substr($part, 0, $slash + 1))
            . '_rels/'
            . ($slash === false ? $part : substr($part, $slash + 1))
            . '.rels';
        $relations = [];
        if ($this->package->has($name)) {
            $xml = Xml::of($this->package->text($name));
            $xml->root();
            foreach ($xml->children() as $_) {
                $type = (string) $xml->get('Type');
                $relations[(string) $xml->get('Id')] = [
                    'type' => substr($type, (int) strrpos('/' . $type, '/')),
                    'target' => (string) $xml->get('Target'),
                    'isExternal' => $xml->get('TargetMode') === 'External',
                ];
            }
        }

        return $this->relations[$part] = $relations;
    }

    /** A target as the name of a part: relative to the folder of the part that names it. */
    private static function resolved(string $part, string $target): string
    {
        $path = str_starts_with($target, '/') ? $target : \dirname("/{$part}") . '/' . $target;
        $out = [];
        foreach (explode('/', $path) as $step) {
            if ($step === '..') {
                array_pop($out);
            } elseif ($step !== '' && $step !== '.') {
                $out[] = $step;
            }
        }

        return implode('/', $out);
    }
}
