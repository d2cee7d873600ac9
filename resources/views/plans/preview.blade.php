@if ($body !== null)
<article class="sheet-page draft-page">
    <h1>{{ $document->title }}</h1>
    @foreach ($document->titleFields() as $field)<p class="sub">{{ $field }}</p>@endforeach
    @if ($document->contents !== [])
        <p class="contents-head">{{ $document->contentsTitle() }}</p>
        <nav class="toc one-column" aria-label="Contents">
            @foreach ($document->contents as $entry)
                <a href="#{{ ($entry['element']->anchor ?? new \Embrel\Document\Anchor($entry['element']->topic))->name() }}"
                    style="--l:{{ $entry['element']->level - 1 }}">{{ trim($entry['element']->number . ' ' . $entry['element']->title) }}</a>
            @endforeach
        </nav>
    @endif
    {!! $body !!}
</article>
@else
<pre class="sheet-page as-text" tabindex="0" aria-label="The file as it will be">{{ $text }}</pre>
@endif
<p class="hint said-below" data-long="{{ $isLong ? 1 : 0 }}" id="said">{{ implode(' · ', $said) }}</p>
