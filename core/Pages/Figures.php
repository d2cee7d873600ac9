<?php

declare(strict_types=1);

namespace Embrel\Pages;

use Embrel\Document\Element;
use Embrel\Document\Pictures;
use Embrel\Document\Style;
use Embrel\RichText\Node;

/** Pictures of topics and notes as lines, with what is written below them. Lengths are points. */
final class Figures
{
    /** @var array<int, int> figure → 1, for those that have their place already */
    private array $figures = [];

    /**
     * @param Setting $small   of what is written below a picture
     * @param float   $width   of the text
     * @param float   $tallest the height that is left for text on a page
     */
    public function __construct(
        private readonly Paragraphs $paragraphs,
        private readonly ?Pictures $pictures,
        private readonly Structure $structure,
        private readonly Setting $small,
        private readonly float $width,
        private readonly float $tallest,
    ) {}

    /** @return list<Group> */
    public function ofTopic(Element $element, float $indent, int $parent): array
    {
        $picture = $element->picture;
        if ($picture === null || $this->pictures?->bytes($picture->id) === null) {
            return [];
        }

        return [
            new Group(
                [
                    $this->image(
                        $picture->id,
                        $picture->shown * Style::PICTURE * 0.75,
                        $picture->height / $picture->width,
                        $indent,
                        $this->width,
                        '',
                        $element->title,
                        $parent,
                    ),
                ],
                2.0,
                8.0,
            ),
        ];
    }

    /** @return list<Group> the picture, and its caption, which stays with it */
    public function ofNote(Node $node, float $indent, float $width, int $parent): array
    {
        $caption = $node->string('caption') ?? '';
        $id = $node->string('picture');
        $bytes = $id === null ? null : $this->pictures?->bytes($id);
        $size = $bytes === null ? false : @getimagesizefromstring($bytes);
        $says = $caption === '' && $size === false ? $node->string('alt') ?? '' : $caption;
        $below = static fn(): array => [];
        if ($says !== '') {
            $lines = $this->paragraphs->text($says, $this->small->with(['indent' => $indent]), $width);
            $below = fn(): array => [new Group(Structure::tag($lines, $this->structure->add('Caption', $parent)), 3.0, 9.0)];
        }
        if ($id === null || $size === false || $size[0] === 0) {
            return $below();
        }
        $line = $this->image(
            $id,
            $node->int('width', $size[0]) * 0.75,
            $size[1] / $size[0],
            $indent,
            $width,
            $node->string('href') ?? '',
            $node->string('alt') ?? $caption,
            $parent,
        );
        $below = $below();
        $figure = $node->int('figure', 0);
        if ($figure > 0 && !isset($this->figures[$figure])) {
            $this->figures[$figure] = 1;
            $line->anchors[] = "_f{$figure}";
        }

        return [new Group([$line], 4.0, $below === [] ? 8.0 : 0.0, keepsNext: $below !== []), ...$below];
    }

    /** @param float $wide in points; a picture is never wider than the text, nor higher than a page */
    private function image(
        string $id,
        float $wide,
        float $aspect,
        float $indent,
        float $width,
        string $link,
        string $says,
        int $parent,
    ): Line {
        $wide = min($wide, $width - $indent, ($this->tallest * 0.92) / $aspect);
        $high = $wide * $aspect;

        $piece = new Piece(Piece::PICTURE, $indent, 0.0, $wide, $high, $id, link: $link, says: $says);

        return new Line($high, $high, [$piece], tag: $this->structure->add('Figure', $parent, $says === '' ? 'Picture' : $says));
    }
}
