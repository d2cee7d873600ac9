@php
    $places = ['anywhere' => 'Anywhere', 'title' => 'Writing a title', 'row' => 'A marked row (not writing)', 'map' => 'The map: as in a marked row, and', 'gather-field' => 'Gather, typing ideas', 'gather-idea' => 'Gather, an idea is marked', 'gather-place' => 'Gather, choosing the place', 'note' => 'A note', 'research' => 'Sorting out the research'];
    $signs = ['ArrowUp' => '↑', 'ArrowDown' => '↓', 'ArrowLeft' => '←', 'ArrowRight' => '→', 'Escape' => 'Esc'];
    $keys = collect(json_decode(file_get_contents(resource_path('keys.json')), true))->groupBy('where');
@endphp
@foreach ($places as $where => $name)
    <table class="keys-table">
        <caption>{{ $name }}</caption>
        <tbody>
            @foreach ($keys[$where] as $entry)
                <tr><td>@php($isRange = \count($entry['keys']) === 9)@foreach ($isRange ? [$entry['keys'][0], $entry['keys'][8]] : $entry['keys'] as $i => $key){{ $i ? ($isRange ? ' to ' : ' or ') : '' }}<kbd class="kbd">{{ strtr($key, ['+' => ' '] + $signs) }}</kbd>@endforeach</td><td>{{ $entry['does'] }}</td></tr>
            @endforeach
        </tbody>
    </table>
@endforeach
<p class="hint mt-3">On a Mac, Cmd stands for Ctrl. Digits go by their place on the keyboard.</p>
