@props(['plan', 'seq', 'name', 'isNow' => false])
<span class="step-acts">
    <a class="plain" href="{{ route('plan.version', [$plan, $seq]) }}" aria-label="Read the plan as it was: {{ $name }}">Read</a>
    @unless ($isNow)<a class="plain" href="{{ route('plan.sides', [$plan, 'from' => $seq]) }}"
        aria-label="Compare with now: {{ $name }}">Compare</a>@endunless
    @if ($isNow)
        <span class="hint">as it is now</span>
    @elsecan('update', $plan)
        <form method="post" action="{{ route('plan.back', [$plan, $seq]) }}">@csrf<button class="plain"
            aria-label="Go back to: {{ $name }}">Go back</button></form>
    @endif
    <form method="post" action="{{ route('plan.of-version', [$plan, $seq]) }}">@csrf<button class="plain"
        aria-label="Make a plan of: {{ $name }}">Make a plan</button></form>
</span>
