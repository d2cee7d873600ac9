{{-- A pattern to be chosen, with what is shown of it (OwnPattern::shown); in the slot what else can be done with it. --}}
@props(['pattern'])
<label><input type="radio" name="pattern" value="{{ $pattern['id'] }}" {{ $attributes }}>
    <strong>{{ $pattern['name'] }}</strong>@if ($pattern['own']) <em class="own">yours</em>@endif<small>{{ implode(' · ',
    $pattern['mains']) }}</small>
    <span class="pattern-tree">@foreach ($pattern['tree'] as [$title, $level])<span @class(['main' => $level === 1])
        style="--level:{{ min($level, 6) - 1 }}">{{ $title }}</span>@endforeach
        @if ($pattern['more'] > 0)<span>and {{ number_format($pattern['more']) }} more</span>@endif
        <span class="pattern-holds">{{ $pattern['holds'] }}</span></span>
    {{ $slot }}</label>
