<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\ListOf;
use App\Store\Change;
use Embrel\Limits;
use Embrel\MalformedShape;
use Embrel\Operation\Codec;
use Embrel\Operation\MalformedOperation;
use Embrel\Shape;
use Illuminate\Foundation\Http\FormRequest;

/** An ordered batch of operations: `{base, operations: [{id, step, type, …}]}`. */
final class OperationsRequest extends FormRequest
{
    /** @return array<string, mixed> the core checks what is in the operations */
    public function rules(): array
    {
        return [
            'base' => ['required', 'integer', 'min:0'],
            'operations' => ['required', 'array', 'list', 'max:' . Limits::BATCH_OPERATIONS],
            'shown' => ['sometimes', ListOf::ids(1000)],
        ];
    }

    protected function prepareForValidation(): void
    {
        if (\strlen($this->getContent()) > Limits::BATCH) {
            abort(
                response()->json(
                    [
                        'message'
                            => 'This is more than can be saved at once (2 MB). It is kept in this browser. Take a long text in as a file '
                                . 'instead.',
                    ],
                    413,
                ),
            );
        }
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
