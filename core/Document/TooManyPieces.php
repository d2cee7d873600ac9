<?php

declare(strict_types=1);

namespace Embrel\Document;

use Embrel\Limits;

/** A document that is made of more runs, paragraphs and cells than are read. */
final class TooManyPieces extends \RuntimeException
{
    public function __construct()
    {
        parent::__construct(
            'it has more than '
                . number_format(Limits::PIECES)
                . ' pieces of text, paragraphs and cells, the size limit for one document. Divide it and take the parts in as branches of '
                    . 'one plan',
        );
    }
}
