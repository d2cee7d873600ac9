<?php

declare(strict_types=1);

namespace Embrel\Prompt;

use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** What a note has already answered, by what stands in it: a year, a number, a source, an example, a reason, a quotation, an objection. */
final class Answered
{
    private const FORMS = [
        'year' => '/(?<!\d)(?:1[0-9]{3}|20[0-9]{2})(?!\d)/u',
        'number' => '/\d/u',
        'example' => '/\b(?:for example|for instance|such as|e\. ?g|zum Beispiel|z\. ?B|etwa|beispielsweise)\b/iu',
        'because' => '/\b(?:because|since|therefore|thus|hence|weil|denn|deshalb|daher|darum|nämlich)\b/iu',
        'but' => '/\b(?:but|however|although|yet|nevertheless|aber|jedoch|obwohl|dennoch|trotzdem)\b/iu',
        'quotation' => '/[“„»«][^”“«»]{12,}[”“«»]/u',
    ];

    /** @return array<string, true> */
    public static function by(?Note $note): array
    {
        if ($note === null) {
            return [];
        }
        $printing = $note->printing();
        $text = $printing->plainText(true);
        $done = array_filter(self::FORMS, static fn(string $form): bool => preg_match($form, $text) === 1);

        return array_map(static fn(): bool => true, $done)
            + ($printing->find(NodeType::Citation)->valid() ? ['citation' => true] : [])
            + ($printing->find(NodeType::Blockquote)->valid() ? ['quotation' => true] : []);
    }
}
