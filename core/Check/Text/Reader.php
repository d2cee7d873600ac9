<?php

declare(strict_types=1);

namespace Embrel\Check\Text;

use Embrel\Citation\Cited;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Search\Lines;
use Embrel\Words;

/** Reads a note, or a line of plain text, for what rules may have to say about it. */
final class Reader
{
    /** So many of a kind in one note: more help nobody. */
    private const MOST = 40;
    /** In characters: what is told of the text around a place, and of the place itself. */
    private const AROUND = 28;
    private const LONGEST = 120;
    /** In words: shorter ones are never far too long. */
    public const LONG_SENTENCE = 35;
    public const LONG_PARAGRAPH = 180;
    /** Sentences of a paragraph of which most are in the passive, before it is said. */
    private const PASSIVES = 3;

    private const SPACES = '/(?<=\S)  +(?=\S)/';
    private const TWICE = '/(?<![\p{L}\p{N}\'’-])(\p{L}{2,30}) \1(?![\p{L}\p{N}\'’-])/iu';
    /** Byte by byte, and several times as quick; bounded, as are all patterns here, so that no text takes long. */
    public const TWICE_AT_A_GLANCE = '/([^ .,;:!?"()]{2,40}) \1(?![\w-])/i';
    private const STRAIGHT = '/"|(?<=\p{L})\'(?=\p{L})|(?<![\p{L}\p{N}])\'(?=\p{L})|(?<=[\p{L}.,!?])\'(?![\p{L}\p{N}])/u';
    private const KINDS = ['en' => '/“[^”„“]{0,300}”/u', 'de' => '/„[^“”„]{0,300}[“”]/u', 'fr' => '/«[^»]{0,300}»|»[^«]{0,300}«/u'];
    private const ADDRESS = '/\b(?:https?:\/\/|www\.)[^\s<>"“”]{3,}[^\s<>"“”.,;:!?)\]]/iu';
    private const SENTENCE = '/(?<=[.!?…])["”“’»)\]]*\s+(?=["“„«»‘(\[]?\p{Lu})/u';
    /** What stands twice in good English or German: “had had”, “die, die”. */
    private const MAY_STAND_TWICE = [
        ...['had', 'that', 'is', 'very', 'so', 'no', 'bye'],
        ...['die', 'der', 'das', 'sie', 'den', 'nach', 'dem', 'sein'],
    ];

    /** @var list<Spot> */
    private array $spots = [];
    /** @var array<string, int> */
    private array $seen = [];
    /** @var array<string, int> */
    private array $quotes = [];
    private int $sentences = 0;
    private int $words = 0;
    private int $squares = 0;
    private int $paragraphs = 0;
    private int $ofParagraphs = 0;
    private int $ofParagraphsSquared = 0;
    private readonly ?string $passive;

    private function __construct(private readonly string $language)
    {
        $this->passive = Passive::pattern($language);
    }

    /** @param string $language a language tag */
    public static function note(Note $note, string $language): Reading
    {
        $reader = new self($language);
        foreach ($note->blocks as $id => $block) {
            $reader->block($block, (string) $id);
        }

        return new Reading(
            $language,
            $reader->spots,
            new Spread($reader->sentences, $reader->words, $reader->squares),
            new Spread($reader->paragraphs, $reader->ofParagraphs, $reader->ofParagraphsSquared),
            $reader->quotes,
            !$note->isEmpty() && $note->printing()->isEmpty(),
        );
    }

    /** A title: signs and spaces alone. */
    public static function title(string $title, string $language): Reading
    {
        $reader = new self($language);
        $reader->signs($title, '', 0);

        return new Reading($language, $reader->spots, quotes: $reader->quotes);
    }

    private function block(Node $block, string $id): void
    {
        if ($block->type === NodeType::CodeBlock || $block->type === NodeType::Question) {
            return;
        }
        $this->things($block, $id);
        $block->holdsScaffold() ? $this->scaffolds($block, $id) : null;
        $isOthers = $block->type === NodeType::Blockquote;
        foreach (self::holdsOther($block) ? self::proseLines($block) : Lines::of($block) as $i => $line) {
            if ($line === '') {
                continue;
            }
            $this->signs($line, $id, $i);
            if (!$isOthers && $block->type !== NodeType::Heading) {
                $this->prose($line, $id, $i, $block->type === NodeType::Paragraph);
            }
        }
    }

    /** Whether there is code in it, or scaffolding: neither is prose. */
    private static function holdsOther(Node $node): bool
    {
        foreach ($node->content as $inner) {
            if ($inner->marks !== [] ? self::isOther($inner) : $inner->content !== [] && self::holdsOther($inner)) {
                return true;
            }
        }

        return false;
    }

    private static function isOther(Node $inline): bool
    {
        return $inline->has(MarkType::Code) || $inline->has(MarkType::Scaffold);
    }

    /** @return list<string> with one sign in the place of each letter of what is no prose */
    private static function proseLines(Node $block): array
    {
        $lines = [];
        Lines::map($block, static function (Node $line) use (&$lines): Node {
            $text = '';
            foreach ($line->content as $inline) {
                $own = Lines::text(new Node($line->type, [], [$inline]));
                $text .= $inline->isText() && self::isOther($inline) ? str_repeat("\u{FFFC}", mb_strlen($own)) : $own;
            }
            $lines[] = $text;

            return $line;
        });

        return $lines;
    }

    /** What still waits to be rewritten, line by line. */
    private function scaffolds(Node $block, string $id): void
    {
        $i = 0;
        Lines::map($block, function (Node $line) use ($id, &$i): Node {
            $at = 0;
            foreach ($line->content as $inline) {
                $text = Lines::text(new Node($line->type, [], [$inline]));
                if ($inline->isText() && $inline->has(MarkType::Scaffold) && trim($text) !== '') {
                    $this->spots[] = new Spot(Reading::SCAFFOLD, $id, $i, $at, mb_strlen($text), self::short($text));
                }
                $at += mb_strlen($text);
            }
            ++$i;

            return $line;
        });
    }

    /** Citations, references, pictures, and quotations that name no source. */
    private function things(Node $block, string $id): void
    {
        if ($block->type === NodeType::Paragraph && \count($block->content) === 1 && $block->content[0]->isText()) {
            // Plain text, as most paragraphs are.
            return;
        }
        $cites = 0;
        foreach ($block->all() as $node) {
            switch ($node->type) {
                case NodeType::Citation:
                    foreach (Cited::of($node) as $cited) {
                        $this->spots[] = new Spot(Reading::CITES, $id, 0, 0, 0, $cited->source);
                        ++$cites;
                    }
                    break;
                case NodeType::TopicRef:
                    $this->spots[] = new Spot(Reading::REFERS, $id, 0, 0, 0, (string) $node->string('topic'));
                    break;
                case NodeType::Picture:
                    $caption = trim((string) $node->string('caption'));
                    $caption === '' ? $this->seen(Reading::NO_CAPTION, $id, 0, '', 0, 0) : null;
                    trim((string) $node->string('alt')) === '' ? $this->seen(Reading::NO_ALTERNATIVE, $id, 0, $caption, 0, 0) : null;
                    break;
                default:
            }
        }
        if ($block->type === NodeType::Blockquote && $cites === 0 && trim($text = $block->plainText()) !== '') {
            $this->spots[] = new Spot(Reading::UNSOURCED, $id, 0, 0, 0, self::short($text));
        }
    }

    private function signs(string $line, string $block, int $i): void
    {
        if (str_contains($line, '  ')) {
            $this->all(self::SPACES, Reading::TWO_SPACES, $line, $block, $i);
        }
        if (str_contains($line, '"') || str_contains($line, "'")) {
            $this->all(self::STRAIGHT, Reading::STRAIGHT, $line, $block, $i);
        }
        foreach (['en' => "\u{201C}", 'de' => "\u{201E}", 'fr' => "\u{AB}"] as $kind => $sign) {
            if (str_contains($line, $sign)) {
                $this->quotes[$kind] = ($this->quotes[$kind] ?? 0) + (int) preg_match_all(self::KINDS[$kind], $line);
                $this->all(self::KINDS[$kind], Reading::QUOTES . $kind, $line, $block, $i);
            }
        }
        if (preg_match(self::TWICE_AT_A_GLANCE, $line) === 1) {
            $this->all(self::TWICE, Reading::WORD_TWICE, $line, $block, $i);
        }
        if (str_contains($line, '://') || stripos($line, 'www.') !== false) {
            $this->all(self::ADDRESS, Reading::ADDRESS, $line, $block, $i);
        }
    }

    /** Sentences and paragraphs: how long they are, and whether the passive prevails. */
    private function prose(string $line, string $block, int $i, bool $isParagraph): void
    {
        $sentences = $sum = 0;
        foreach (preg_split(self::SENTENCE, $line, flags: PREG_SPLIT_OFFSET_CAPTURE) ?: [] as [$sentence, $at]) {
            // To tell what is far longer than the rest, words apart by spaces are near enough; those that are told are counted.
            $words = substr_count($sentence, ' ') + 1;
            if ($words >= self::LONG_SENTENCE) {
                $words = Words::in($sentence);
                $words < self::LONG_SENTENCE ? null : $this->seen(Reading::SENTENCE, $block, $i, $line, $at, \strlen($sentence), $words);
            }
            ++$sentences;
            $sum += $words;
            $this->squares += $words * $words;
        }
        $this->sentences += $sentences;
        $this->words += $sum;
        if (!$isParagraph) {
            return;
        }
        ++$this->paragraphs;
        $this->ofParagraphs += $sum;
        $this->ofParagraphsSquared += $sum * $sum;
        if ($sum >= self::LONG_PARAGRAPH) {
            $this->seen(Reading::PARAGRAPH, $block, $i, $line, 0, \strlen($line), $sum);
        }
        if ($sentences >= self::PASSIVES && $this->passive !== null) {
            $passives = (int) preg_match_all($this->passive, $line);
            if ($passives >= self::PASSIVES && 2 * $passives > $sentences) {
                $this->seen(Reading::PASSIVE, $block, $i, $line, 0, \strlen($line), $passives);
            }
        }
    }

    private function all(string $pattern, string $sign, string $line, string $block, int $i): void
    {
        preg_match_all($pattern, $line, $m, PREG_OFFSET_CAPTURE);
        foreach ($m[0] as [$text, $at]) {
            if ($sign !== Reading::WORD_TWICE || !\in_array(mb_strtolower(explode(' ', $text)[0]), self::MAY_STAND_TWICE, true)) {
                $this->seen($sign, $block, $i, $line, $at, \strlen($text));
            }
        }
    }

    /** @param int $at and `length` in bytes of the line */
    private function seen(string $sign, string $block, int $i, string $line, int $at, int $length, int $words = 0): void
    {
        $this->seen[$sign] = ($this->seen[$sign] ?? 0) + 1;
        if ($this->seen[$sign] > self::MOST) {
            return;
        }
        $text = substr($line, $at, $length);
        $this->spots[] = new Spot(
            $sign,
            $block,
            $i,
            mb_strlen(substr($line, 0, $at)),
            mb_strlen($text),
            match (true) {
                $sign === Reading::ADDRESS => $text,
                \strlen($text) > self::LONGEST => self::short($text),
                default => self::before(substr($line, 0, $at)) . $text . self::after(substr($line, $at + $length)),
            },
            $words,
        );
    }

    /** The last words of what stands before, whole. */
    private static function before(string $text): string
    {
        if (mb_strlen($text) <= self::AROUND) {
            return ltrim($text);
        }

        return '…' . (preg_replace('/\A\S*\s+/u', '', mb_substr($text, -self::AROUND)) ?? '');
    }

    private static function after(string $text): string
    {
        if (mb_strlen($text) <= self::AROUND) {
            return rtrim($text);
        }

        return (preg_replace('/\s+\S*\z/u', '', mb_substr($text, 0, self::AROUND)) ?? '') . '…';
    }

    private static function short(string $text): string
    {
        return mb_strimwidth(trim(preg_replace('/\s+/u', ' ', $text) ?? $text), 0, self::LONGEST, '…');
    }
}
