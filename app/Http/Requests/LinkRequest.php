<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\Role;
use App\Models\Plan;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;

/** What may be done by the link of a plan. What is not named stays as it is. */
final class LinkRequest extends FormRequest
{
    /** Origins of sites, with spaces between them: scheme, host, perhaps a port; nothing else gets into a policy. */
    private const ORIGINS = '~\A\s*(?:https?://[a-z0-9](?:[a-z0-9.-]*[a-z0-9])?(?::\d{1,5})?/?(?:\s+|\z)){0,10}\z~i';
    private const SWITCHES = ['copies', 'shows_loose', 'shows_asides', 'shows_comments'];

    public function authorize(): bool
    {
        return $this->route('plan') instanceof Plan;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'role' => ['sometimes', Rule::in([Role::Reads->value, Role::Comments->value])],
            'password' => ['sometimes', 'nullable', 'string', 'min:4', 'max:200'],
            'framers' => ['sometimes', 'nullable', 'string', 'max:1000', 'regex:' . self::ORIGINS],
            'ends_on' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'after_or_equal:' . $this->today()],
        ] + array_fill_keys(self::SWITCHES, ['sometimes', 'boolean']);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'framers.regex' => 'Name sites as https://example.org, with spaces between them.',
            'password.min' => 'A password has 4 characters at least.',
            'ends_on.after_or_equal' => 'This day is past already.',
            'ends_on.date_format' => 'This is not a day.',
        ];
    }

    /** @return array<string, mixed> columns; it ends with the day that was chosen, where the person is */
    public function columns(): array
    {
        $set = array_intersect_key($this->validated(), ['role' => 1, 'password' => 1]);
        if ($this->has('framers')) {
            $sites = preg_split('/\s+/', strtolower($this->string('framers')->toString()), -1, PREG_SPLIT_NO_EMPTY) ?: [];
            $set['framers'] = implode(' ', array_map(static fn(string $site): string => rtrim($site, '/'), $sites));
        }
        foreach (self::SWITCHES as $name) {
            if ($this->has($name)) {
                $set[$name] = $this->boolean($name);
            }
        }
        if ($this->has('ends_on')) {
            $day = $this->string('ends_on')->toString();
            $set['ends_at'] = $day === '' ? null : Carbon::parse($day, $this->zone())->endOfDay()->setTimezone('UTC');
        }

        return $set;
    }

    private function today(): string
    {
        return now($this->zone())->format('Y-m-d');
    }

    private function zone(): string
    {
        return $this->user()->time_zone ?? 'UTC';
    }
}
