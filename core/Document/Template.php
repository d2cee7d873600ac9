<?php

declare(strict_types=1);

namespace Embrel\Document;

/** A document of the writer's own whose styles, page, head and foot a draft takes on. */
final readonly class Template
{
    /**
     * @param string                $kind   docx or odt
     * @param string                $bytes  the whole file
     * @param array<string, string> $styles our style by id → the one of the template that the writer chose for it
     */
    public function __construct(public string $kind, public string $bytes, public array $styles = []) {}
}
