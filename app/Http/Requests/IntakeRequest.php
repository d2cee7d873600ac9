<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Id;
use App\Store\WaitingFiles;
use Embrel\Intake\Options;
use Embrel\Limits;
use Embrel\Reader\Format;
use Embrel\Reader\Markdown\Recognition;
use Embrel\Reader\TextOutline\Generated;
use Embrel\Reader\Unreadable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class IntakeRequest extends FormRequest
{
    /** The outline that was meant; false as long as nobody has looked. */
    private string|false|null $outline = false;

    public function authorize(): bool
    {
        return $this->user() !== null;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'file' => ['nullable', 'file', 'max:' . intdiv(Limits::INTAKE, 1024)],
            'token' => ['nullable', new Id()],
            'text' => ['nullable', 'string'],
            'title' => ['nullable', 'string', 'max:1000'],
            'into' => ['nullable', new Id()],
            'under' => ['nullable', new Id()],
            'strip_numbers' => ['boolean'],
            'descriptions' => ['boolean'],
            'lists' => ['boolean'],
            'markdown' => ['nullable', 'boolean'],
            'as_written' => ['nullable', 'boolean'],
            'notes' => ['boolean'],
            'left_out' => ['boolean'],
            'first_is_title' => ['nullable', 'boolean'],
            'bold_lines' => ['nullable', 'boolean'],
            'depth' => ['nullable', 'integer', 'between:1,' . Limits::LEVELS],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.max' => Unreadable::tooLarge()->getMessage(),
            'file.uploaded' => 'The file did not arrive whole. It may be larger than 64 MB.',
        ];
    }

    /**
     * What was chosen, however it was sent.
     *
     * @param array<array-key, mixed> $given
     * @param string                  $name     of the file, whose name is the title where there is no other
     * @param bool                    $isPasted text that has no name: its first line is the title where it holds all the rest
     */
    public static function options(array $given, string $name, bool $isPasted = false): Options
    {
        $is = static fn(string $key, bool $default = false): bool => isset($given[$key])
            ? filter_var($given[$key], FILTER_VALIDATE_BOOLEAN)
            : $default;
        $title = \is_string($given['title'] ?? null) ? trim($given['title']) : '';
        $depth = is_numeric($given['depth'] ?? null) ? (int) $given['depth'] : Limits::LEVELS;

        return new Options(
            $title !== '' ? $title : (mb_scrub(pathinfo($name, PATHINFO_FILENAME)) ?: 'Untitled'),
            $is('strip_numbers'),
            $is('descriptions'),
            $is('lists'),
            $is('notes', true),
            max(1, min(Limits::LEVELS, $depth)),
            isset($given['first_is_title']) || !$isPasted || $title !== '' ? $is('first_is_title') : null,
            isset($given['bold_lines']) ? $is('bold_lines') : null,
            keepsLeftOut: $is('left_out'),
        );
    }

    /** Whether there is no file, but text that was pasted. */
    public function isPasted(): bool
    {
        return !$this->hasFile('file') && $this->string('token')->toString() === '';
    }

    /** Whether pasted text is Markdown: as the person says, else as it looks. */
    public function isMarkdown(): bool
    {
        return $this->filled('markdown')
            ? $this->boolean('markdown')
            : $this->generated() === null && Recognition::isMarkdown($this->string('text')->toString());
    }

    /** The outline that was meant, where pasted text looks as if a program had written it and nobody said how it is to be read. */
    public function generated(): ?string
    {
        if ($this->outline === false) {
            $this->outline = !$this->isPasted() || $this->filled('markdown') || $this->boolean('as_written')
                ? null
                : Generated::outline($this->string('text')->toString());
        }

        return $this->outline;
    }

    /**
     * What is to be taken in: a file that comes along or waits, or text.
     *
     * @return array{in: resource, format: Format, name: string}
     *
     * @throws Unreadable
     */
    public function source(WaitingFiles $waiting): array
    {
        $file = $this->file('file');
        $token = $this->string('token')->toString();
        if ($file instanceof UploadedFile) {
            $name = $file->getClientOriginalName();
            $in = fopen($file->getPathname(), 'r');
        } elseif ($token !== '') {
            $found = $waiting->find($this->user() ?? abort(401), $token) ?? throw Unreadable::gone();
            $name = $found->name;
            $in = $found->open();
        } else {
            $name = 'Untitled.' . ($this->isMarkdown() ? 'md' : 'txt');
            $in = fopen('php://temp', 'w+');
            if ($in !== false) {
                fwrite($in, $this->generated() ?? (string) $this->input('text'));
                rewind($in);
            }
        }

        return $in === false ? throw Unreadable::gone() : ['in' => $in, 'format' => Format::ofPath($name), 'name' => $name];
    }
}
