@php
    $places = \App\Http\Vocabulary::PLACES;
    $signs = ['ArrowUp' => '↑', 'ArrowDown' => '↓', 'ArrowLeft' => '←', 'ArrowRight' => '→', 'Escape' => 'Esc'];
    $keys = collect(json_decode(file_get_contents(resource_path('keys.json')), true))->filter(static fn(array $entry): bool => $entry['keys'] !== [])->groupBy('where');
@endphp
@foreach ($places as $where => $name)
    <table class="keys-table">
        <caption>{{ $name }}</caption>
        <tbody>
            @foreach ($keys[$where] as $entry)
                <tr><td>@php($isRange = \count($entry['keys']) === 9)@foreach ($isRange ? [$entry['keys'][0], $entry['keys'][8]]
                    : $entry['keys'] as $i => $key){{ $i ? ($isRange ? ' to ' : ' or ') : '' }}<kbd
                    class="kbd">{{ strtr($key, ['+' => ' '] + $signs) }}</kbd>@endforeach</td><td>{{ $entry['does'] }}</td></tr>
            @endforeach
        </tbody>
    </table>
@endforeach
<p class="hint mt-3">On a Mac, Cmd stands for Ctrl. Digits go by their place on the keyboard.</p>
