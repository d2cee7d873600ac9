<x-read-frame :link="$link" :plan="$plan" :end="$end" :current="$current" :strip="$strip">
    <h1 class="visually-hidden">The map of {{ $plan->title }}</h1>
    <nav class="read-tools" aria-label="Arrangement">
        @foreach (['spine' => 'Spine', 'both' => 'Both sides', 'round' => 'Round'] as $as => $name)
            <a href="{{ route('read.map', [$end, 'as' => $as]) }}" @if ($as === $arrangement) aria-current="true" @endif>{{ $name }}</a>
        @endforeach
        <a href="{{ route('read.map-picture', [$end, 'png', 'as' => $arrangement]) }}" download="{{ \App\Store\WorkFolder::fileName($plan->title) }}.png">As a picture</a>
    </nav>
    <figure class="read-map" role="img" aria-label="The map of {{ $plan->title }}; the outline says the same in words">{!! $svg !!}</figure>
</x-read-frame>
