<?php

declare(strict_types=1);

namespace Embrel\Cli;

/** The command was called in a way it does not know. */
final class Usage extends \InvalidArgumentException
{
    public const TEXT = <<<'TEXT'
        usage: embrel convert INPUT OUTPUT [options]
               embrel inspect FILE [--strip-numbers] [--descriptions] [--lists]

        Formats go by extension. In: docx, odt, html, md, opml, txt, csv; zip with one text and its pictures.
        Out: docx, odt, pdf, html, zip (web pages), epub, md, tex, txt, opml, csv, svg, png,
        jpg, webp, pptx, odp;
        .map.pdf is the map, .slides.pdf and .handout.pdf what is shown,
        .alone.html a page that stands alone, .show.html one that plays.

          --numbering=decimal|essay|chapter|none   --number-depth=N (1 to 9)
          --heading-depth=N (1 to 9)               --no-notes
          --no-contents                            --contents-depth=N (1 to 9)
          --strip-numbers                          --signs  drafts: signs after titles
          --arrangement=spine|both|round           --fonts  SVG: with the fonts in it
          --style=reed|dense|broad|field|drafting  --no-ground  SVG: without a ground
          --style=FILE    a map style of one’s own
          --paper=a4|a3|a2|letter|tabloid          --sheets  PDF: in its own size across several
          --levels=N (1 to 9)  slides: sections one by one   --each-line  one for each line that appears
          --on-a-sheet=2|4|6   handouts
          --scale=1 to 4  pictures of the map          --descriptions  OPML: read `description` as the note
          --lists         documents: list items become topics also beside headings
        TEXT;
}
