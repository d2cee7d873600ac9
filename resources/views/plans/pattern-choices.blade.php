@foreach ($patterns as $pattern)
    <x-pattern-choice :pattern="$pattern" :checked="$loop->first"/>
@endforeach
