<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Store\WorkFolder;
use Embrel\Archive\Shelf;
use Embrel\Id\Ids;
use Embrel\Intake\Options;
use Embrel\Intake\Result;
use Embrel\Limits;
use Embrel\Reader\Format;
use Embrel\Reader\Unreadable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class IntakeRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user() !== null;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'file' => ['nullable', 'file', 'max:' . intdiv(Limits::INTAKE, 1024)],
            'text' => ['nullable', 'string'],
            'title' => ['nullable', 'string', 'max:1000'],
            'into' => ['nullable', 'string', 'size:26'],
            'strip_numbers' => ['boolean'],
            'descriptions' => ['boolean'],
            'lists' => ['boolean'],
            'markdown' => ['boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['file.max' => Unreadable::tooLarge()->getMessage(), 'file.uploaded' => 'The file did not arrive whole. It may be larger than 64 MB.'];
    }

    /** @throws Unreadable */
    public function read(Ids $ids): Result
    {
        $file = $this->file('file');
        $title = trim($this->string('title')->toString());
        if ($file instanceof UploadedFile) {
            $name = $file->getClientOriginalName();
            $format = Format::ofPath($name);
            $in = fopen($file->getPathname(), 'r');
            $title = $title === '' ? mb_scrub(pathinfo($name, PATHINFO_FILENAME)) : $title;
        } else {
            $format = $this->boolean('markdown') ? Format::Markdown : Format::Text;
            $in = fopen('php://temp', 'w+');
            if ($in !== false) {
                fwrite($in, (string) $this->input('text'));
                rewind($in);
            }
            $title = $title === '' ? 'Untitled' : $title;
        }
        $options = new Options($title, $this->boolean('strip_numbers'), $this->boolean('descriptions'), $this->boolean('lists'));

        return $in === false ? throw Unreadable::empty() : WorkFolder::with(static fn(string $work): Result => $format->read($in, $options, $ids, $work, new Shelf($work)));
    }
}
