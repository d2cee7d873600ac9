<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light">
    <title>Map: {{ $title }}</title>
    @vite(['resources/css/sheets.css', 'resources/js/sheets.js'])
    <link rel="stylesheet" href="{{ route('sheets.style', ['width' => $sheets->width, 'height' => $sheets->height]) }}">
</head>
<body>
<header class="share">
    <span>{{ count($sheets->tiles) === 1 ? 'One sheet'
        : count($sheets->tiles) . ' sheets, ' . $sheets->columns . ' across and ' . $sheets->rows . ' down' }}. Printing to a file gives a
        PDF.</span>
    <button type="button" id="print">Print…</button>
</header>
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
</body>
</html>
