<div class="papers" data-count="{{ $count }}" @if ($next !== null) data-next="{{ $next }}" @endif>
@foreach ($pages as $page){!! $page !!}@endforeach
</div>
@if ($from === 0)
<p class="hint said-below" data-long="{{ $isLong ? 1 : 0 }}"
    id="said">{{ $isBeginning ? 'This is the beginning, ' : '' }}{{ $count }}
    {{ $count === 1 ? 'page' : 'pages' }}{{ $isBeginning ? '; the whole comes with the file' : '' }}{{ $format->value === 'pdf' ? ''
    : ' as in PDF; your word processor may break them elsewhere' }} · {{ number_format($words) }}
    words{{ $said ? ' · ' . implode(' · ', $said) : '' }}</p>
@endif
