<?php

declare(strict_types=1);

namespace Embrel\RichText;

/** How a run of text is set. */
enum MarkType: string
{
    case Bold = 'bold';
    case Italic = 'italic';
    case Underline = 'underline';
    case Strike = 'strike';
    case Highlight = 'highlight';
    case Superscript = 'superscript';
    case Subscript = 'subscript';
    case Code = 'code';
    case Link = 'link';
    /** What holds a first draft together until it has been rewritten: it never prints. */
    case Scaffold = 'scaffold';
}
