<article class="sheet-page">
    <h1>{{ $document->title }}</h1>
    @if ($document->properties->subtitle !== '')<p class="sub">{{ $document->properties->subtitle }}</p>@endif
    @if ($document->properties->author !== '')<p class="sub">{{ $document->properties->author }}</p>@endif
    @if ($document->contents !== [] && !$isOutline)
        <p class="contents-head">{{ str_starts_with($document->properties->language, 'de') ? 'Inhalt' : 'Contents' }}</p>
        <nav class="toc" aria-label="Contents">
            @foreach ($document->contents as $entry)
                <a href="#_e{{ $entry['element']->topic }}" style="--l:{{ $entry['element']->level - 1 }}">{{ trim($entry['element']->number . ' ' . $entry['element']->title) }}</a><span>{{ $entry['page'] }}</span>
            @endforeach
        </nav>
    @endif
</article>
@if ($body !== '')
    <article class="sheet-page">{!! $body !!}</article>
@endif
<p class="hint text-center">{{ number_format($words) }} words{{ $emptySections ? ' · ' . $emptySections . ($emptySections === 1 ? ' section' : ' sections') . ' without text' : '' }}{{ $losses ? ' · ' . implode(' ', $losses) : '' }}</p>
