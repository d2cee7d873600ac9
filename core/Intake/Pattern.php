<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Id\Ids;
use Embrel\Plan\Form;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Plan\Scheme;
use Embrel\Plan\Target;
use Embrel\Plan\Topic;

/** Ready trees to start from. A title that starts with a tilde takes no number. */
enum Pattern: string
{
    case Essay = 'essay';
    case Report = 'report';
    case Thesis = 'thesis';
    case Book = 'book';
    case Notes = 'notes';

    private const TREES = [
        'essay' => [
            'What the question asks' => [],
            'First reason' => ['The claim', 'What shows it'],
            'Second reason' => ['The claim', 'What shows it'],
            'The other side' => ['What they say', 'What answers it'],
            'Where this leads' => [],
        ],
        'report' => [
            '~Summary' => [],
            'Why this report' => ['Who asked for it', 'What it covers'],
            'How it was done' => [],
            'What was found' => ['First finding', 'Second finding'],
            'What it means' => [],
            'What to do now' => [],
            '~References' => [],
        ],
        'thesis' => [
            '~Abstract' => [],
            'Introduction' => ['The question', 'Why it matters', 'How the thesis is laid out'],
            'What others have written' => ['Where they agree', 'Where they differ', 'What is missing'],
            'Method' => ['Material', 'Procedure', 'Limits'],
            'Results' => [],
            'Discussion' => ['Answer to the question', 'What it leaves open'],
            'Conclusion' => [],
            '~References' => [],
        ],
        'book' => [
            '~Foreword' => [],
            'The beginning' => ['Where it opens', 'Who is there'],
            'The way in' => ['What changes', 'What is at stake'],
            'The middle' => ['What gets harder', 'The turn'],
            'The way out' => ['What it costs', 'What is won'],
            'The end' => ['How it stands now'],
            '~Thanks' => [],
        ],
        'notes' => ['What I know' => [], 'What I saw' => [], 'What I read' => [], 'What I want to find out' => []],
    ];
    private const TARGETS = ['essay' => 1200, 'report' => 3000, 'thesis' => 20000, 'book' => 60000, 'notes' => null];
    private const SCHEMES = [
        'essay' => Scheme::None,
        'report' => Scheme::Decimal,
        'thesis' => Scheme::Decimal,
        'book' => Scheme::Chapter,
        'notes' => Scheme::None,
    ];

    public function label(): string
    {
        return match ($this) {
            self::Essay => 'Five-part essay',
            self::Report => 'Report',
            self::Thesis => 'Thesis',
            self::Book => 'Book in chapters',
            self::Notes => 'Notes',
        };
    }

    /** @return list<string> the titles of its main sections */
    public function sections(): array
    {
        return array_map(static fn(string $title): string => ltrim($title, '~'), array_keys(self::TREES[$this->value]));
    }

    public function plan(string $title, string $author, Ids $ids): Plan
    {
        $growing = new Growing($ids, $title);
        foreach (self::TREES[$this->value] as $section => $parts) {
            $unnumbered = str_starts_with($section, '~');
            $growing->add(
                1,
                ltrim($section, '~'),
                [],
                static fn(Topic $topic): Topic => $unnumbered ? $topic->with(['numbered' => Numbered::None]) : $topic,
            );
            foreach ($parts as $part) {
                $growing->add(2, $part);
            }
        }
        $target = self::TARGETS[$this->value];

        return $growing
            ->done()
            ->withProperties(
                new Properties(
                    author: $author,
                    form: Form::from($this->value),
                    target: $target === null ? null : Target::of($target),
                    scheme: self::SCHEMES[$this->value],
                ),
            );
    }
}
