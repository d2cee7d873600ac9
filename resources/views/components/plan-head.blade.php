@props(['plan', 'current'])
<header class="top">
    <div class="brand">
        <a href="{{ route('plans') }}" aria-label="All plans" title="All plans"><x-mark/></a>
        {{ $slot }}
    </div>
    <nav class="modes" aria-label="Views">
        <a href="{{ route('plan.gather', $plan) }}" data-view="gather" @if ($current === 'gather') aria-current="page" @endif>Gather</a>
        <a href="{{ route('plan', $plan) }}" data-view="outline" @if ($current === 'outline') aria-current="page" @endif>Outline</a>
        <a href="{{ route('plan.map', $plan) }}" data-view="map" @if ($current === 'map') aria-current="page" @endif>Map</a>
    </nav>
    <div class="acts">
        <div class="icons">{{ $acts ?? '' }}</div>
        <a class="primary" href="{{ route('hand-over', $plan) }}" @if ($current === 'hand-over') aria-current="page" @endif>Hand over</a>
    </div>
</header>
