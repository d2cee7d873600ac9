@php
    $places = ['anywhere' => 'Anywhere', 'title' => 'Writing a title', 'row' => 'A marked row (not writing)', 'note' => 'A note'];
    $signs = ['ArrowUp' => '↑', 'ArrowDown' => '↓', 'ArrowLeft' => '←', 'ArrowRight' => '→', 'Escape' => 'Esc'];
    $keys = collect(json_decode(file_get_contents(resource_path('keys.json')), true))->groupBy('where');
@endphp
@foreach ($places as $where => $name)
    <table class="keys-table">
        <caption>{{ $name }}</caption>
        <tbody>
            @foreach ($keys[$where] as $entry)
                <tr><td>@foreach ($entry['id'] === 'foldToLevel' ? ['1', '9'] : $entry['keys'] as $i => $key){{ $i ? ($entry['id'] === 'foldToLevel' ? ' to ' : ' or ') : '' }}<kbd class="kbd">{{ strtr($key, ['+' => ' '] + $signs) }}</kbd>@endforeach</td><td>{{ $entry['does'] }}</td></tr>
            @endforeach
        </tbody>
    </table>
@endforeach
<p class="hint mt-3">On a Mac, Cmd stands for Ctrl. Digits go by their place on the keyboard.</p>
