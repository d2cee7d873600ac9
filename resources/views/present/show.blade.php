@php
    $title = $plan->title === '' ? 'Untitled' : $plan->title;
    $chosen = $deck['choices'];
    $given = ['role' => 'show', 'deck' => $deck, 'address' => route('plan.present', $plan), 'plan' => route('plan', $plan),
        'name' => "embrel.present.{$plan->id}.{$user}", 'vocabulary' => ['mapSigns' => \App\Http\Vocabulary::all()['mapSigns']]];
    $levels = [1 => 'Main sections', 2 => 'Two levels', 3 => 'Three levels', 4 => 'Four levels', 9 => 'All levels'];
@endphp
<x-layouts.app :title="'Present: ' . $title . ' – Embrel'" :scripts="['resources/js/present.js']" class="is-night present">
<script type="application/json" id="present-data">{!! json_encode($given, JSON_HEX_TAG | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR) !!}</script>
<main class="present-main">
    <nav aria-label="Main sections"><ul class="present-mains" id="present-mains"></ul></nav>
    <div class="present-stage" id="present-stage">
        <section class="shown" id="shown" lang="{{ $deck['language'] }}" aria-label="What is shown" hidden></section>
        <div id="map-side" hidden><h1 class="visually-hidden">{{ $title }}</h1><svg class="ground" id="shown-map" role="group"
            aria-label="The map"></svg></div>
    </div>
    @if ($deck['left'] > 0)<p class="present-left">{{ number_format($deck['left']) }} more steps found no room. Choose fewer levels.</p>@endif
</main>
<footer class="present-foot"><div class="present-bar" role="toolbar" aria-label="Present">
    <button type="button" class="present-play" id="present-play" data-command="presentPlay" aria-pressed="false" aria-label="Play"
        title="Play by itself, and pause (P)"><span aria-hidden="true"></span></button>
    <span class="present-speed"><button type="button" data-command="presentSlower" title="Slower (−)" aria-label="Slower">−</button><span
        id="present-pace"></span><button type="button" data-command="presentFaster" title="Faster (+)" aria-label="Faster">+</button></span>
    <span class="present-line"><span id="present-pieces" aria-hidden="true"></span><input type="range" id="present-line" min="0" max="0" value="0"
        aria-label="Step"></span>
    <span id="present-time"></span>
    <button type="button" data-command="presentNotes" title="The speaker’s own window">Notes <kbd>N</kbd></button>
    <button type="button" id="present-map" data-command="presentMap" aria-pressed="false">On the map <kbd>M</kbd></button>
    <button type="button" data-command="presentScreens" title="A link by which another screen follows">Screens <kbd>S</kbd></button>
    <button type="button" data-command="presentChoices" title="What is shown, and how fast">What is shown <kbd>O</kbd></button>
    <button type="button" data-command="presentLeave" title="Back to the plan">Leave <kbd>Esc</kbd></button>
</div></footer>
<p class="visually-hidden" id="present-says" role="status"></p>
<dialog id="present-choices" aria-labelledby="present-choices-head"><form id="present-form" method="dialog">
    <h2 id="present-choices-head">What is shown</h2>
    <div class="grid-2">
        <label class="field"><span>One by one</span><select name="levels">@foreach ($levels as $level => $name)<option value="{{ $level }}"
            @selected($chosen['levels'] === $level)>{{ $name }}</option>@endforeach</select></label>
        @if ($labels !== [])
            <label class="field"><span>Only with the label</span><select name="label"><option value="">any, or none</option>@foreach ($labels
                as $label)<option @selected($chosen['label'] === $label)>{{ $label }}</option>@endforeach</select></label>
        @endif
    </div>
    <label class="check mt-3"><input type="checkbox" name="one_by_one" @checked($chosen['one_by_one'])> Its parts appear one after the other</label>
    @if ($sections !== [])
        <fieldset class="present-sections"><legend>Sections</legend><ul>
            @foreach ($sections as [$id, $name, $level, $parts])
                <li style="--l:{{ $level - 1 }}"><label><span dir="auto">{{ $name }}</span><select data-section="{{ $id }}"><option
                    value="">as chosen</option><option value="out" @selected(\in_array($id, $chosen['without'], true))>left out</option>@if ($parts
                    > 0)<option value="whole" @selected(\in_array($id, $chosen['whole'], true))>shown whole</option>@endif</select></label></li>
            @endforeach
        </ul></fieldset>
    @endif
    <fieldset class="present-pace"><legend>When it plays by itself</legend>
        <label class="check"><input type="radio" name="pace" value="seconds" @checked(!$chosen['spoken'])> each section stays
            <input type="number" name="seconds" min="2" max="600" value="{{ $chosen['seconds'] }}" aria-label="Seconds each"> seconds</label>
        <label class="check"><input type="radio" name="pace" value="spoken" @checked($chosen['spoken'])> as long as its note takes to be said, at
            {{ \Embrel\Draft\ShowChoices::SPOKEN }} words a minute</label>
        <label class="check">Time that is planned: <input type="number" name="minutes" min="0" max="600" value="{{ $chosen['minutes'] }}"
            aria-label="Minutes planned"> minutes <small>(0: as long as it takes)</small></label>
    </fieldset>
    <p class="error" id="present-error" role="alert"></p>
    <div class="dialog-foot"><button class="plain" type="button" data-close>Cancel</button><button class="primary">Show this</button></div>
</form></dialog>
<dialog id="present-screens" aria-labelledby="present-screens-head"><h2 id="present-screens-head">Screens on other machines</h2>
    <p>Whoever opens the link sees what you show, as you go on: no notes, and nothing of what you leave out. It ends by itself after 12 hours.</p>
    <div id="link-made" class="link-made" hidden><label class="field mt-3"><span>The link; it cannot be shown again</span><input id="link-address"
        readonly></label><button class="plain danger mt-2" type="button" id="end-link">End it</button></div>
    <p class="hint mt-2" id="link-says" role="status"></p>
    <div class="dialog-foot"><button class="plain" type="button" data-close>Close</button><button class="primary" type="button"
        id="make-link">Make a link</button></div></dialog>
</x-layouts.app>
