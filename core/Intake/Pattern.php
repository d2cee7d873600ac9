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
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

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
    /** Section → what the writer is asked in its note. It never prints. */
    private const QUESTIONS = [
        'essay' => [
            'What the question asks' => 'What exactly is asked, and what is not?',
            'First reason' => 'What is the best reason for your answer?',
            'Second reason' => 'What else speaks for it that does not lean on the first?',
            'The other side' => 'What would someone say who is not convinced?',
            'Where this leads' => 'What does a reader know now that they did not know before?',
        ],
        'report' => [
            '~Summary' => 'If only one paragraph is read, what must it say?',
            'Why this report' => 'Who will read this, and what do they have to decide?',
            'How it was done' => 'What was looked at, by whom, when, and how?',
            'What was found' => 'What did you find that nobody can argue with?',
            'What it means' => 'What follows from that, and how sure is it?',
            'What to do now' => 'Who should do what next, and by when?',
        ],
        'thesis' => [
            'Introduction' => 'Which one question does the whole answer?',
            'What others have written' => 'Who has come closest to an answer, and where do they stop?',
            'Method' => 'Could somebody else do this again from what stands here?',
            'Results' => 'What was found, before anything is made of it?',
            'Discussion' => 'How else could the results be explained?',
            'Conclusion' => 'What is the answer in two sentences?',
        ],
        'book' => [
            'The beginning' => 'What is different on the first page from every other day?',
            'The way in' => 'Why can nobody turn back from here?',
            'The middle' => 'What does the reader hope for, and what do they fear?',
            'The way out' => 'What has to be paid for it?',
            'The end' => 'What picture is the last one?',
        ],
        'notes' => [
            'What I know' => 'What would you tell a friend about it, without looking anything up?',
            'What I saw' => 'What did you see yourself, where, and when?',
            'What I want to find out' => 'Whom could you ask?',
        ],
        'story' => [
            'An ordinary day' => 'What does this person want, and why do they not have it?',
            'Something happens' => 'What can no longer go on as it was?',
            'It gets harder' => 'What is the worst that could happen next?',
            'The moment it turns' => 'What is chosen, and what is lost by it?',
            'Another day' => 'How can one see that something has changed?',
        ],
        'argument' => [
            'The claim' => 'What are you saying, in one sentence that can be wrong?',
            'Why it holds' => 'What would have to be true for it to be false?',
            'What speaks against it' => 'Who disagrees, and what is the best they can say?',
            'Why it holds all the same' => 'Where are they right?',
            'What follows' => 'What should be done, or thought, if you are right?',
        ],
        'comparison' => [
            'What is compared, and why' => 'Who has to choose between the two?',
            'By the first measure' => 'What matters most to them?',
            'Which for whom' => 'When would you take the other one?',
        ],
        'laboratory' => [
            'Question' => 'What did you expect, and on what grounds?',
            'Material and method' => 'What would somebody need to know to do it again?',
            'Results' => 'What was measured, in which units, how often?',
            'Discussion' => 'What could have gone wrong, and how much would it matter?',
            'Conclusion' => 'Is the question answered?',
        ],
        'literature' => [
            'The question' => 'What do you want to know from all these texts?',
            'How the search was made' => 'Where did you look, with which words, and what did you leave out?',
            'Where the field agrees' => 'What does nobody dispute?',
            'Where it divides' => 'On what does it turn who is right?',
            'What nobody has asked' => 'Which text would you like to read that does not exist?',
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
        $questions = self::QUESTIONS[$this->value];
        foreach (self::TREES[$this->value] as $section => $parts) {
            $unnumbered = str_starts_with($section, '~');
            $growing->add(
                1,
                ltrim($section, '~'),
                isset($questions[$section]) ? [new Node(NodeType::Question, [], [Node::text($questions[$section])])] : [],
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
