<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\DraftTemplate;
use App\Store\Templates;
use Embrel\Limits;
use Embrel\Writer\TemplateStyles;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;

/** Documents of a person's own whose styles their drafts take on, and which style each thing takes. */
final class TemplateController
{
    private const KINDS = ['docx' => 'docx', 'dotx' => 'docx', 'docm' => 'docx', 'dotm' => 'docx', 'odt' => 'odt', 'ott' => 'odt'];

    public function __construct(private readonly Templates $templates) {}

    public function store(Request $request): JsonResponse
    {
        $file = $request->file('file');
        $kind = $file instanceof UploadedFile ? self::KINDS[strtolower($file->getClientOriginalExtension())] ?? null : null;
        if (!($file instanceof UploadedFile) || !$file->isValid() || $kind === null || $file->getSize() > Limits::ATTACHMENT) {
            return response()->json(
                [
                    'message'
                        => $kind === null
                            ? 'A template is a document of the kind docx, dotx, odt or ott.'
                            : 'A template may have 20 MB at most.',
                ],
                422,
            );
        }
        try {
            $template = $this->templates->keep(
                Given::person($request),
                mb_scrub($file->getClientOriginalName()),
                $kind,
                (string) $file->get(),
            );
        } catch (\DomainException $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }

        return response()->json(['id' => $template->id, 'name' => mb_scrub($file->getClientOriginalName()), 'kind' => $kind]);
    }

    /** Which of its styles each of ours takes, and what else it has. */
    public function show(DraftTemplate $template): JsonResponse
    {
        $found = $template->template();
        $styles = TemplateStyles::of($found);
        $chosen = $styles->chosen();
        $rows = [];
        foreach (TemplateStyles::ASKED as $ours => $label) {
            $rows[] = ['style' => $ours, 'label' => $label, 'takes' => $chosen[$ours] ?? '', 'guessed' => !isset($found->styles[$ours])];
        }

        return response()->json([
            'rows' => $rows,
            'known' => array_map(
                static fn(string $id, array $style): array => ['id' => $id, 'name' => $style['name']],
                array_map(strval(...), array_keys($styles->known)),
                $styles->known,
            ),
        ]);
    }

    public function update(Request $request, DraftTemplate $template): Response
    {
        $styles = $request->json()->all()['styles'] ?? null;
        $template->update([
            'choices' => array_filter(
                array_intersect_key(\is_array($styles) ? $styles : [], TemplateStyles::ASKED),
                static fn(mixed $id): bool => \is_string($id) && $id !== '',
            ),
        ]);

        return response()->noContent();
    }

    public function destroy(DraftTemplate $template): Response
    {
        Templates::forget($template);

        return response()->noContent();
    }
}
