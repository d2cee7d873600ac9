<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\Access;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** The end of an account; where others share plans of it, with what becomes of them. */
final class DeleteAccountRequest extends FormRequest
{
    public const HAND_ON = 'hand-on';
    public const TAKE_ALONG = 'take-along';

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $user = $this->user() ?? abort(401);

        return [
            // Who has no password types the address.
            ...($user->has_password
                ? ['password_to_delete' => ['bail', 'required', 'string', 'current_password']]
                : ['address_to_delete' => ['bail', 'required', 'string', Rule::in([$user->email])]]),
            'shared' => [Rule::requiredIf(Access::handedOnBy($user) !== []), Rule::in([self::HAND_ON, self::TAKE_ALONG])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'password_to_delete.current_password' => 'This is not your password. Nothing was deleted.',
            'address_to_delete' => 'This is not the address of this account. Nothing was deleted.',
            'shared.required' => 'Say what becomes of the plans that others share. Nothing was deleted.',
        ];
    }

    public function handsOn(): bool
    {
        return $this->input('shared') === self::HAND_ON;
    }
}
