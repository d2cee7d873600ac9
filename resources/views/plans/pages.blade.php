<div class="papers" data-count="{{ $count }}" @if ($next !== null) data-next="{{ $next }}" @endif>
@foreach ($pages as $page){!! $page !!}@endforeach
</div>
@if ($from === 0)
<p class="hint said-below" data-long="{{ $isLong ? 1 : 0 }}" id="said">{{ implode(' · ', $said) }}</p>
@endif
