<?php

declare(strict_types=1);

namespace Embrel\Reader\Opml;

use Embrel\Citation\Source as CitedSource;
use Embrel\Id\Ids;
use Embrel\Intake\Growing;
use Embrel\Intake\Options;
use Embrel\Intake\Result;
use Embrel\Intake\TypedNumbers;
use Embrel\Limits;
use Embrel\Plan\Edit;
use Embrel\Plan\Label;
use Embrel\Plan\Plan;
use Embrel\Plan\PlanForm;
use Embrel\Plan\Properties;
use Embrel\Plan\Relation;
use Embrel\Reader\Reader;
use Embrel\Reader\Source;
use Embrel\Reader\Unreadable;
use Embrel\Shape;

/** OPML 1.0, 1.1 and 2.0 (opml.org). Attributes that we do not know are kept with their topic. */
final class OpmlReader implements Reader
{
    private \XMLReader $xml;
    private Growing $growing;
    private Attributes $attributes;
    private string $bytes = '';
    private bool $hasBody = false;
    /** @var array<string, string> the id that a topic had → the one it has got */
    private array $were = [];
    /** @var array<string, string> elements of the head */
    private array $head = [];

    public function read($in, Options $options, Ids $ids): Result
    {
        $bytes = $this->bytes = Source::whole($in);
        $errors = libxml_use_internal_errors(true);
        try {
            $this->growing = new Growing($ids, $options->title);
            $this->attributes = new Attributes($this->growing, $options->descriptions);
            // Leading white space is not allowed before the declaration, and harmless.
            $this->xml = new \XMLReader();
            $this->xml->XML(ltrim($bytes, " \t\r\n"), null, \LIBXML_NONET | \LIBXML_COMPACT);
            $this->walk();
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($errors);
        }

        return $this->result($options, $ids);
    }

    private function walk(): void
    {
        $root = null;
        while ($this->xml->read()) {
            if ($this->xml->nodeType === \XMLReader::DOC_TYPE) {
                throw Unreadable::hasDoctype($this->lineOf('<!DOCTYPE'));
            }
            if ($this->xml->nodeType !== \XMLReader::ELEMENT) {
                continue;
            }
            $name = $this->xml->localName;
            if ($root === null && $name !== 'opml') {
                throw Unreadable::notOpml(mb_strimwidth($name, 0, 60, '…'));
            }
            $root ??= $name;
            $this->element($name);
        }
        $this->refuseErrors();
        if (!$this->hasBody) {
            throw Unreadable::noBody();
        }
    }

    private function element(string $name): void
    {
        if ($name === 'outline' && $this->hasBody) {
            $this->outline();
        } elseif ($name === 'body') {
            $this->hasBody = true;
        } elseif ($this->xml->depth === 2 && !$this->hasBody && \count($this->head) < Limits::FOREIGN) {
            $this->head[$this->xml->name] = $this->textOfElement();
        }
    }

    /** The text of a head element, which is read to its end. */
    private function textOfElement(): string
    {
        if ($this->xml->isEmptyElement) {
            return '';
        }
        $text = '';
        $depth = $this->xml->depth;
        while ($this->xml->read() && $this->xml->depth > $depth) {
            if (\in_array($this->xml->nodeType, [\XMLReader::TEXT, \XMLReader::CDATA, \XMLReader::SIGNIFICANT_WHITESPACE], true)) {
                $text .= $this->xml->value;
            }
        }

        return $text;
    }

    private function outline(): void
    {
        // The body is at depth 1, so a main section is at depth 2.
        $level = max(1, $this->xml->depth - 1);
        if ($level > Limits::LEVELS) {
            throw Unreadable::tooDeep($this->line());
        }
        if ($this->growing->isFull()) {
            throw Unreadable::tooManyTopics($this->line());
        }
        $topic = $this->attributes->of($this->xml, $this->line(...));
        if ($topic['loose']) {
            $this->growing->close();
        }
        $id = $this->growing->add($level, $topic['title'], $topic['note'], $topic['dress'], $topic['loose'] ? Plan::TRAY : Plan::ROOT);
        if ($topic['id'] !== '') {
            $this->were[$topic['id']] = $id;
        }
    }

    private function line(): int
    {
        $node = $this->xml->nodeType === \XMLReader::NONE ? null : @$this->xml->expand();

        return $node instanceof \DOMNode ? $node->getLineNo() : 1;
    }

    private function lineOf(string $sign): int
    {
        return 1 + substr_count(substr($this->bytes, 0, (int) strpos($this->bytes, $sign)), "\n");
    }

    /** XMLReader ends a broken file as if it were whole; only its errors tell. */
    private function refuseErrors(): void
    {
        foreach (libxml_get_errors() as $error) {
            if ($error->level < \LIBXML_ERR_ERROR || $error->code === 100) {
                continue;
            }
            $message = trim($error->message);

            throw match (true) {
                str_contains($message, 'UTF-8') || str_contains($message, 'encoding') || str_contains($message, 'conver')
                    => Unreadable::notUtf8($error->line),
                stripos($message, 'entity') !== false => Unreadable::hasEntities($error->line),
                str_contains($message, 'Excessive depth') => Unreadable::tooDeep($error->line),
                str_contains($message, 'too long'),
                str_contains($message, 'too big'),
                stripos($message, 'huge') !== false
                    => Unreadable::valueTooLong($error->line),
                default => Unreadable::brokenXml($message, $error->line),
            };
        }
    }

    private function result(Options $options, Ids $ids): Result
    {
        $this->growing->opening(
            isset($this->head['e:note']) ? $this->attributes->ownNote($this->head['e:note']) ?? [] : [],
            trim($this->head['title'] ?? ''),
        );
        $plan = $this->retargeted($this->growing->done());
        $plan = Label::complete($plan->withProperties($this->properties()))->withForeign($this->foreign())->withSources($this->sources());

        $plan = $plan->withRelations($this->relations($plan, $ids));

        return new Result($options->stripNumbers ? TypedNumbers::stripped($plan) : $plan, $this->growing->repairs());
    }

    /** References to topics lead to the ids that these have got here. */
    private function retargeted(Plan $plan): Plan
    {
        if ($this->were === []) {
            return $plan;
        }
        $edit = new Edit($plan);
        foreach ($plan->topics as $topic) {
            if ($topic->note !== null) {
                $edit->put($topic->withLoadedNote($topic->note->retargeted($this->were)));
            }
        }

        return $edit->done();
    }

    private function properties(): Properties
    {
        $given = isset($this->head['e:plan']) ? json_decode($this->head['e:plan'], true) : [];
        $author = mb_substr(trim($this->head['ownerName'] ?? ''), 0, 200);
        try {
            return (new Properties())->with((\is_array($given) ? $given : []) + ['author' => $author]);
        } catch (\InvalidArgumentException) {
            $this->growing->repaired('The properties of the plan could not be read; the usual ones were taken.');

            return new Properties(author: $author);
        }
    }

    /** @return array<string, CitedSource> */
    private function sources(): array
    {
        try {
            return isset($this->head['e:sources'])
                ? PlanForm::readSources(new Shape(['sources' => json_decode($this->head['e:sources'], true)], 'head'))
                : [];
        } catch (\InvalidArgumentException) {
            $this->growing->repaired('The sources of the plan could not be read.');

            return [];
        }
    }

    /** @return array<string, Relation> */
    private function relations(Plan $plan, Ids $ids): array
    {
        $given = isset($this->head['e:relations']) ? json_decode($this->head['e:relations'], true) : [];
        $topics = $plan->standing();
        $relations = [];
        try {
            foreach ((new Shape(['relations' => $given], 'head'))->objects('relations') as $row) {
                $id = $ids->next();
                $ends = ['id' => $id, 'from' => $topics[$row->int('from')] ?? '', 'to' => $topics[$row->int('to')] ?? ''];
                $relations[$id] = PlanForm::relation(new Shape($ends + $row->values(), 'relation'));
                if (\count($relations) >= Limits::RELATIONS) {
                    break;
                }
            }
        } catch (\InvalidArgumentException) {
            $this->growing->repaired('The relations between topics could not all be read.');
        }

        return $relations;
    }

    /** @return array<string, string> */
    private function foreign(): array
    {
        $kept = array_diff_key($this->head, [
            'title' => 1,
            'ownerName' => 1,
            'e:plan' => 1,
            'e:note' => 1,
            'e:sources' => 1,
            'e:relations' => 1,
        ]);

        return array_filter(
            $kept,
            static fn(string $value, string $name): bool => !str_contains($name, ':') && \strlen($value) < Limits::FOREIGN_BYTES,
            ARRAY_FILTER_USE_BOTH,
        );
    }
}
