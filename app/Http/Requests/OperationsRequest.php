<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Id;
use App\Store\Change;
use Embrel\Limits;
use Embrel\MalformedShape;
use Embrel\Operation\Codec;
use Embrel\Operation\MalformedOperation;
use Embrel\Shape;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Exceptions\HttpResponseException;

/** An ordered batch of operations: `{base, operations: [{id, step, type, …}]}`. */
final class OperationsRequest extends FormRequest
{
    private const SHOWN = 1_000;

    /**
     * The core checks what is in the operations. The few fields around them are looked at here without rules: it is the request
     * of every word that is written, and what carries rules out costs a tenth of it.
     */
    public function validateResolved(): void
    {
        if (\strlen($this->getContent()) > Limits::BATCH) {
            self::refuse('This is more than can be saved at once (2 MB). It is kept in this browser. Take a long text in as a file instead.', 413);
        }
        $given = $this->json()->all();
        $base = $given['base'] ?? null;
        $operations = $given['operations'] ?? null;
        $shown = $given['shown'] ?? [];
        if (!\is_int($base) || $base < 0) {
            self::refuse('It must be said to which revision this is added.');
        }
        if (!\is_array($operations) || $operations === [] || !array_is_list($operations)) {
            self::refuse('There is no operation in this.');
        }
        if (\count($operations) > Limits::BATCH_OPERATIONS) {
            self::refuse('More than ' . Limits::BATCH_OPERATIONS . ' operations cannot be taken at once.');
        }
        $isList = \is_array($shown) && array_is_list($shown) && \count($shown) <= self::SHOWN;
        if (!$isList || array_filter($shown, Id::fits(...)) !== $shown) {
            self::refuse('What is shown is no list of topics.');
        }
    }

    private static function refuse(string $message, int $status = 422): never
    {
        throw new HttpResponseException(response()->json(['message' => $message], $status));
    }

    public function base(): int
    {
        return $this->integer('base');
    }

    /** @return list<string> what earlier changes of the page named, whose answer it has not taken in */
    public function shown(): array
    {
        return array_values(array_filter((array) $this->input('shown', []), is_string(...)));
    }

    /**
     * @return list<Change>
     *
     * @throws MalformedOperation
     */
    public function changes(): array
    {
        $changes = [];
        try {
            foreach ((new Shape($this->json()->all(), 'batch'))->objects('operations') as $shape) {
                $changes[] = new Change($shape->id('id'), $shape->id('step'), Codec::decode($shape->values()));
            }
        } catch (MalformedShape $why) {
            throw MalformedOperation::because($why);
        }

        return $changes;
    }
}
