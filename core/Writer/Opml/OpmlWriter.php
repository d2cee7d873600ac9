<?php

declare(strict_types=1);

namespace Embrel\Writer\Opml;

use Embrel\Citation\SourceForm;
use Embrel\Draft\Choices;
use Embrel\Draft\Printed;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Field;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Plan\TopicForm;
use Embrel\RichText\Note;
use Embrel\Writer\Losses;
use Embrel\Writer\Writer;

/**
 * OPML 2.0 (opml.org/spec2.opml): titles in `text`. What OPML has no attribute for stands in a
 * namespace of our own, so that our own files come back without loss; asides too.
 */
final class OpmlWriter implements Writer
{
    public const NAMESPACE = 'urn:embrel:plan:1';

    private Printed $printed;

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $this->printed = Printed::of(
            $plan,
            Numbering::of($plan),
            $choices->notes ? [...$plan->branch($choices->from), ...$choices->outline->loose ? $plan->branch(Plan::TRAY) : []] : [],
            [],
        );
        $xml = new \XMLWriter();
        $xml->openMemory();
        $xml->setIndent(true);
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElement('opml');
        $xml->writeAttribute('version', '2.0');
        $xml->writeAttribute('xmlns:e', self::NAMESPACE);
        $this->head($xml, $plan, $choices);
        $xml->startElement('body');
        $this->outlines($xml, $plan, $choices, $choices->from, false, $out);
        if ($choices->outline->loose) {
            $this->outlines($xml, $plan, $choices, Plan::TRAY, true, $out);
        }
        $xml->endElement();
        $xml->endElement();
        $xml->endDocument();
        fwrite($out, (string) $xml->flush());

        $losses = Losses::ofPictures($plan, $choices->from);
        $losses->also($this->printed->missing);

        return $losses->sentences();
    }

    private function head(\XMLWriter $xml, Plan $plan, Choices $choices): void
    {
        $top = $plan->topic($choices->from);
        $xml->startElement('head');
        $xml->writeElement('title', $top->title);
        if ($plan->properties->author !== '') {
            $xml->writeElement('ownerName', $plan->properties->author);
        }
        foreach ($choices->from === Plan::ROOT ? $plan->foreign : [] as $name => $value) {
            $xml->writeElement($name, $value);
        }
        // What was set aside is about topics that have other ids when they come home.
        $left = ['set_aside' => 1]
            + ($plan->properties->rulesOff === [] ? ['rules_off' => 1] : [])
            + ($plan->properties->terms === [] ? ['terms' => 1] : []);
        $properties = array_diff_key($plan->properties->toArray(), $left);
        $xml->writeElement('e:plan', self::json($properties));
        // A branch takes along the sources that its notes cite.
        $sources = $choices->from === Plan::ROOT ? $plan->sources : $this->printed->references->cited;
        if ($sources !== []) {
            $xml->writeElement('e:sources', self::json(array_map(SourceForm::toArray(...), array_values($sources))));
        }
        if ($choices->from === Plan::ROOT && ($relations = self::relations($plan, $choices->outline->loose)) !== []) {
            $xml->writeElement('e:relations', self::json($relations));
        }
        if ($choices->notes && $top->note !== null && !$top->note->isEmpty()) {
            $xml->writeElement('e:note', self::json(TopicForm::blocks($top->note)));
        }
        $xml->endElement();
    }

    /** @return list<array<string, mixed>> with the places of their topics in the file instead of ids, which are not in it */
    private static function relations(Plan $plan, bool $loose): array
    {
        if ($plan->relations === []) {
            return [];
        }
        $at = array_flip($loose ? $plan->standing() : \array_slice($plan->order(), 1));
        $relations = [];
        foreach ($plan->relations as $relation) {
            if (isset($at[$relation->from], $at[$relation->to])) {
                $relations[]
                    = ['from' => $at[$relation->from], 'to' => $at[$relation->to]] + array_diff_key($relation->toArray(), ['id' => 1]);
            }
        }

        return $relations;
    }

    /** @param resource $out */
    private function outlines(\XMLWriter $xml, Plan $plan, Choices $choices, string $from, bool $loose, $out): void
    {
        $open = 0;
        foreach ($plan->walk($from) as $id => $level) {
            for (; $open >= $level; --$open) {
                $xml->endElement();
            }
            $xml->startElement('outline');
            $this->attributes($xml, $plan->topics[$id], $choices, $loose && $level === 1);
            ++$open;
            if (($flushed = $xml->flush()) !== '') {
                fwrite($out, (string) $flushed);
            }
        }
        for (; $open > 0; --$open) {
            $xml->endElement();
        }
    }

    private function attributes(\XMLWriter $xml, Topic $topic, Choices $choices, bool $loose): void
    {
        $xml->writeAttribute('text', $topic->title);
        foreach (self::withCategories($topic) as $name => $value) {
            $this->foreign($xml, (string) $name, $value);
        }
        $own = [];
        foreach (Field::cases() as $field) {
            $own[$field->value] = $field->isInOutlines() ? $field->written($topic) : null;
        }
        $own = [
            'spot' => $loose ? Field::Spot->written($topic) : null,
            'loose' => $loose ? 'true' : null,
            // By this its references find it again, whatever id it gets.
            'id' => isset($this->printed->referenced[$topic->id]) ? $topic->id : null,
        ] + $own;
        foreach ($own as $name => $value) {
            if (\is_string($value) || \is_int($value)) {
                $xml->writeAttribute("e:{$name}", (string) $value);
            }
        }
        if ($choices->notes && $topic->note !== null && !$topic->note->isEmpty()) {
            $this->note($xml, $topic, $choices);
        }
    }

    /** @return array<string, string> the attributes of foreign programs; labels are categories, as OPML has them */
    private static function withCategories(Topic $topic): array
    {
        if ($topic->labels === []) {
            return $topic->foreign;
        }
        $others = $topic->foreign['category'] ?? '';

        return ['category' => implode(',', [...$topic->labels, ...$others === '' ? [] : [$others]])] + $topic->foreign;
    }

    private function note(\XMLWriter $xml, Topic $topic, Choices $choices): void
    {
        if ($choices->outline->otherNotes) {
            $xml->writeAttribute('_note', (string) $this->printed->note($topic->id)?->plainText(true));
        }
        $xml->writeAttribute('e:note', self::json(TopicForm::blocks($topic->note ?? Note::empty())));
    }

    /** Attributes of another namespace are kept as “{namespace}prefix:name”. */
    private function foreign(\XMLWriter $xml, string $name, string $value): void
    {
        if (preg_match('/\A\{(.+)\}([\w.-]+):([\w.-]+)\z/u', $name, $m) === 1) {
            $xml->writeAttributeNs($m[2], $m[3], $m[1], $value);
        } else {
            $xml->writeAttribute($name, $value);
        }
    }

    /** @param array<array-key, mixed> $value */
    private static function json(array $value): string
    {
        return json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }
}
