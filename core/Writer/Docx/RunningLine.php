<?php

declare(strict_types=1);

namespace Embrel\Writer\Docx;

use Embrel\Document\Document;
use Embrel\Document\Role;
use Embrel\Document\Style;

/** The head or foot of the pages as a part: left, centre and right, with its fields. */
final class RunningLine
{
    /** Pixels that a logo is high. */
    private const LOGO = 38;

    /**
     * @param string       $element `hdr` or `ftr`
     * @param list<string> $thirds
     * @param float|null   $logo    height by width of the logo; null: there is none
     */
    public static function xml(string $element, array $thirds, Document $document, string $style, ?float $logo): string
    {
        $first = '';
        foreach ($document->elements as $one) {
            $first = $first === '' && $one->role === Role::Heading && $one->level === 1 ? trim("{$one->number} {$one->title}") : $first;
        }
        $runs = '';
        // Without a middle, what stands right may be wider than half of the line.
        $tabs = $thirds[1] === '' ? '<w:tabs><w:tab w:val="clear" w:pos="' . intdiv(Body::textWidth($document), 2) . '"/></w:tabs>' : '';
        foreach ($thirds as $i => $third) {
            $runs .= $i === 0 || ($i === 1 && $tabs !== '') ? '' : '<w:r><w:tab/></w:r>';
            foreach (Style::pieces($third) as [$piece, $isField]) {
                $runs .= !$isField
                    ? Runs::text($piece)
                    : match ($piece) {
                        'page' => Runs::field('PAGE', '1'),
                        'pages' => Runs::field('NUMPAGES', '1'),
                        'section' => Runs::field('STYLEREF 1', $first),
                        'logo' => $logo === null ? '' : Runs::pictureXml('logo', 1, (self::LOGO / $logo) * 9525, $logo, ''),
                        default => Runs::text($document->field($piece)),
                    };
            }
        }

        return "<w:{$element} xmlns:w=\""
            . Body::W
            . '" xmlns:r="'
            . Body::R
            . "\"><w:p><w:pPr><w:pStyle w:val=\"{$style}\"/>{$tabs}</w:pPr>{$runs}</w:p></w:{$element}>";
    }
}
