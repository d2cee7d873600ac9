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
    case Story = 'story';
    case Argument = 'argument';
    case Comparison = 'comparison';
    case Laboratory = 'laboratory';
    case Literature = 'literature';

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
        'story' => [
            'An ordinary day' => ['Who it is about', 'What they want'],
            'Something happens' => ['What breaks the day', 'What is decided'],
            'It gets harder' => ['The first try', 'What goes wrong', 'Who helps, and who does not'],
            'The moment it turns' => ['What has to be given up'],
            'Another day' => ['What has changed', 'What has stayed'],
        ],
        'argument' => [
            'The claim' => ['What it says', 'What it does not say'],
            'Why it holds' => ['First reason', 'Second reason'],
            'What speaks against it' => ['The strongest objection', 'Whom it would convince'],
            'Why it holds all the same' => ['What the objection overlooks', 'What has to be granted'],
            'What follows' => [],
        ],
        'comparison' => [
            'What is compared, and why' => ['The two', 'By what they are measured'],
            'By the first measure' => ['The one', 'The other'],
            'By the second measure' => ['The one', 'The other'],
            'By the third measure' => ['The one', 'The other'],
            'Which for whom' => [],
        ],
        'laboratory' => [
            '~Summary' => [],
            'Question' => ['What is known', 'What was expected'],
            'Material and method' => ['What was used', 'What was done', 'What was measured'],
            'Results' => ['Tables and figures', 'What they show'],
            'Discussion' => ['Was it as expected', 'Sources of error'],
            'Conclusion' => [],
            '~References' => [],
        ],
        'literature' => [
            'The question' => ['What is asked', 'Why now'],
            'How the search was made' => ['Where', 'What was kept, what was left out'],
            'Where the field agrees' => [],
            'Where it divides' => ['One side', 'The other side', 'On what it turns'],
            'What nobody has asked' => [],
            'Where to go from here' => [],
            '~References' => [],
        ],
    ];
    /** Of patterns that are not called as their form is. */
    private const FORMS = [
        'story' => 'book',
        'argument' => 'essay',
        'comparison' => 'essay',
        'laboratory' => 'report',
        'literature' => 'article',
    ];
    private const TARGETS = ['essay' => 1200, 'report' => 3000, 'thesis' => 20000, 'book' => 60000, 'notes' => null]
        + ['story' => 3000, 'argument' => 1500, 'comparison' => 1500, 'laboratory' => 2500, 'literature' => 4000];
    private const SCHEMES = [
        'essay' => Scheme::None,
        'report' => Scheme::Decimal,
        'thesis' => Scheme::Decimal,
        'book' => Scheme::Chapter,
        'notes' => Scheme::None,
        'story' => Scheme::None,
        'argument' => Scheme::Essay,
        'comparison' => Scheme::None,
        'laboratory' => Scheme::Decimal,
        'literature' => Scheme::Decimal,
    ];

    public function label(): string
    {
        return match ($this) {
            self::Essay => 'Five-part essay',
            self::Report => 'Report',
            self::Thesis => 'Thesis',
            self::Book => 'Book in chapters',
            self::Notes => 'Notes',
            self::Story => 'Story',
            self::Argument => 'Argument and counter-argument',
            self::Comparison => 'Comparison',
            self::Laboratory => 'Laboratory report',
            self::Literature => 'Literature review',
        };
    }

    /** @return list<string> the titles of its main sections */
    public function sections(): array
    {
        return array_map(static fn(string $title): string => ltrim($title, '~'), array_keys(self::TREES[$this->value]));
    }

    /** @return array<string, list<string>> main section → its parts, as they are before it is chosen */
    public function tree(): array
    {
        $tree = [];
        foreach (self::TREES[$this->value] as $title => $parts) {
            $tree[ltrim($title, '~')] = $parts;
        }

        return $tree;
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
                    form: Form::from(self::FORMS[$this->value] ?? $this->value),
                    target: $target === null ? null : Target::of($target),
                    scheme: self::SCHEMES[$this->value],
                ),
            );
    }
}
