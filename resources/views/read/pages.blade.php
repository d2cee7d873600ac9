<x-read-frame :link="$link" :plan="$plan" :end="$end" :current="$current" :strip="$strip">
    <h1 class="visually-hidden">The pages of {{ $plan->title }}</h1>
    <div class="papers">@foreach ($pages as $page){!! $page !!}@endforeach</div>
    @if (count($pages) < $count)<p class="hint">These are the first {{ count($pages) }} of {{ number_format($count) }} pages; the whole text is
        in the draft.</p>@endif
</x-read-frame>
