<x-layouts.printed :title="$title" :width="$sheets->width" :height="$sheets->height">
    <x-slot:says>{{ count($sheets->tiles) === 1 ? 'One sheet'
        : count($sheets->tiles) . ' sheets, ' . $sheets->columns . ' across and ' . $sheets->rows . ' down' }}. Printing to a file gives a
        PDF.</x-slot:says>
<div class="whole" aria-hidden="true">{!! $svg !!}</div>
@foreach ($sheets->tiles as $tile)
    <section class="sheet" style="width:{{ $sheets->width }}mm;height:{{ $sheets->height }}mm" aria-label="Sheet {{ $loop->iteration }}">
        <svg viewBox="{{ $tile['x'] }} {{ $tile['y'] }} {{ $tile['width'] }} {{ $tile['height'] }}" preserveAspectRatio="xMinYMin meet"
            role="img" aria-label="The map, sheet {{ $loop->iteration }} of {{ count($sheets->tiles) }}"><use href="#map"/></svg>
        @if (count($sheets->tiles) > 1)
            <small>{{ $title }} · row {{ $tile['row'] + 1 }}, column {{ $tile['column'] + 1 }}</small>
            @if ($tile['column'] + 1 < $sheets->columns)<i class="edge right"></i>@endif
            @if ($tile['row'] + 1 < $sheets->rows)<i class="edge below"></i>@endif
        @endif
    </section>
@endforeach
</x-layouts.printed>
