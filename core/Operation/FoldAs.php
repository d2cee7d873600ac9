<?php

declare(strict_types=1);

namespace Embrel\Operation;

/** What topics become in the note that they are folded into. */
enum FoldAs: string
{
    case Paragraphs = 'paragraphs';
    case BulletList = 'list';
    case Quotations = 'quotations';
}
