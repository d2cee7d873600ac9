<?php

declare(strict_types=1);

namespace Embrel\Reader\Docx;

use Embrel\Archive\BadPackage;
use Embrel\Archive\Package;
use Embrel\Archive\Shelf;
use Embrel\Archive\Xml;
use Embrel\Document\Reading;
use Embrel\Limits;
use Embrel\Plan\Picture;
use Embrel\Plan\Sign;
use Embrel\Reader\PicturePlace;
use Embrel\RichText\Node;

/** The pictures of a document: each file is kept once, where it is shown first. */
final class PicturesOf
{
    /** English Metric Units to a pixel, 96 pixels to the inch. */
    private const EMU = 9525;

    /** @var array<string, string> part → id on the shelf; empty where it cannot be kept */
    private array $kept = [];
    /** @var array<string, string> */
    private readonly array $targets;

    /** @param Package|null $package null: pictures are passed over */
    public function __construct(
        private readonly ?Package $package,
        private readonly Parts $parts,
        private readonly Shelf $shelf,
        private readonly Reading $reading,
    ) {
        $this->targets = $parts->links('');
    }

    public function ofTopic(Node $picture): ?Picture
    {
        return PicturePlace::ofTopic($picture, $this->shelf);
    }

    /**
     * The drawing, picture or object at hand, and the text boxes in it.
     *
     * @param \Closure(): void $box reads the text box that the reader stands on
     */
    public function read(Xml $xml, \Closure $box): ?Node
    {
        $found = ['relation' => '', 'width' => 0, 'alt' => '', 'name' => ''];
        $this->look($xml, $found, $box);

        // A sign that Embrel drew beside a title is no picture of it.
        $isNone = $found['relation'] === '' || str_starts_with($found['name'], Sign::DRAWN);

        return $isNone ? null : $this->node($found['relation'], $found['width'], $found['alt']);
    }

    /**
     * @param array{relation: string, width: int, alt: string, name: string} $found
     * @param \Closure(): void                                  $box
     */
    private function look(Xml $xml, array &$found, \Closure $box): void
    {
        foreach ($xml->children() as $name) {
            match ($name) {
                'extent' => ($found['width'] = (int) round((float) $xml->get('cx') / self::EMU)),
                'docPr' => $this->named($xml, $found),
                'blip' => ($found['relation'] = (string) ($xml->get('r:embed') ?? $xml->get('r:link'))),
                'imagedata' => ($found['relation'] = (string) $xml->get('r:id')),
                'shape' => $this->shape($xml, $found),
                default => null,
            };
            if ($name === 'txbxContent') {
                $box();
            } else {
                $this->look($xml, $found, $box);
            }
        }
    }

    /** @param array{relation: string, width: int, alt: string, name: string} $found */
    private function named(Xml $xml, array &$found): void
    {
        $found['alt'] = trim((string) ($xml->get('descr') ?? $xml->get('title')));
        $found['name'] = (string) $xml->get('name');
    }

    /** @param array{relation: string, width: int, alt: string, name: string} $found */
    private function shape(Xml $xml, array &$found): void
    {
        if (preg_match('/(?:\A|;)width:([\d.]+)pt/', (string) $xml->get('style'), $m) === 1) {
            $found['width'] = (int) round((float) $m[1] / 0.75);
        }
        $found['alt'] = trim((string) $xml->get('alt'));
    }

    private function node(string $relation, int $width, string $alt): ?Node
    {
        $target = $this->targets[$relation] ?? '';
        if ($this->package === null || $target === '') {
            return null;
        }
        $attrs = $alt === '' ? [] : ['alt' => mb_strcut($alt, 0, 4000)];
        if ($this->parts->isExternal($relation)) {
            return PicturePlace::onTheWeb($target, $attrs, $this->reading);
        }
        $id = $this->kept[$target] ??= $this->keep($target);

        return PicturePlace::of($id, $width, $attrs, $this->shelf, $this->reading);
    }

    private function keep(string $part): string
    {
        if ($this->package === null || !$this->package->has($part)) {
            return '';
        }
        try {
            return (string) $this->shelf->keep($this->package->pieces($part, Limits::PACKAGE_PART));
        } catch (BadPackage) {
            return '';
        }
    }
}
