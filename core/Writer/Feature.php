<?php

declare(strict_types=1);

namespace Embrel\Writer;

/** What a format is like, as far as choices before handing over depend on it. */
enum Feature: string
{
    /** A text with headings, as it is read. */
    case Draft = 'draft';
    /** The tree as it is: heading depth and contents mean nothing to it. */
    case Outline = 'outline';
    /** It comes back as the tree that it was: numbers are not in it. */
    case Tree = 'tree';
    /** Lines of text alone. */
    case Lines = 'lines';
    /** Titles and numbers, and notes only where they are asked for. */
    case Titles = 'titles';
    case Map = 'map';
    /** A section, or a line of it, at a time: what is shown to an audience. */
    case Slides = 'slides';
    /** One page with everything in it, that asks nobody for anything. */
    case Alone = 'alone';
    /** Several slides on a sheet of paper. */
    case Handout = 'handout';
    /** A map made of pixels. */
    case Pixels = 'pixels';
    /** A file of sheets of paper, which a browser can print as well. */
    case Sheets = 'sheets';
    /** Its pages are those that are shown before it is handed over. */
    case Paged = 'paged';
    /** Fonts, margins and the look of headings can be chosen for it. */
    case Styled = 'styled';
    /** It can have a contents page. */
    case Contents = 'contents';
    /** It carries marks by which it finds its topics again. */
    case Marked = 'marked';
    /** It carries them only where that is asked for: people read it as it is. */
    case Markable = 'markable';
    /** It can go to the clipboard. */
    case Copied = 'copied';
}
