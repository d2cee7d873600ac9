@php
    $title = $plan->title === '' ? 'Untitled' : $plan->title;
    $given = ['role' => 'speaker', 'deck' => $deck, 'address' => route('plan.present', $plan), 'plan' => route('plan', $plan),
        'name' => "embrel.present.{$plan->id}.{$user}", 'vocabulary' => []];
@endphp
<x-layouts.app :title="'Speaker: ' . $title . ' – Embrel'" :scripts="['resources/js/present.js']" class="is-night speaker">
<script type="application/json" id="present-data">{!! json_encode($given, JSON_HEX_TAG | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR) !!}</script>
<main class="speaker-main">
    <h1 class="visually-hidden">Speaker: {{ $title }}</h1>
    <section class="speaker-now" id="speaker-now" aria-labelledby="speaker-now-head"><h2 id="speaker-now-head">Now <span id="speaker-at"></span></h2><div
        class="shown" id="shown-now" lang="{{ $deck['language'] }}"></div></section>
    <section class="speaker-then" aria-labelledby="speaker-then-head"><h2 id="speaker-then-head">Next</h2><div class="shown"
        id="shown-then" lang="{{ $deck['language'] }}"></div></section>
    <section class="speaker-note" aria-labelledby="speaker-note-head"><h2 id="speaker-note-head">To be said</h2><div id="speaker-note" tabindex="0"
        lang="{{ $deck['language'] }}" dir="auto"></div></section>
    <section class="speaker-clock" aria-label="Time"><p><b id="speaker-gone"></b> <span id="speaker-warns" role="status"></span></p><p
        id="speaker-time"></p></section>
</main>
<footer class="present-foot"><div class="present-bar" role="toolbar" aria-label="Speaker">
    <button type="button" id="speaker-back">Back <kbd>←</kbd></button>
    <button type="button" class="primary" id="speaker-on">On <kbd>→</kbd></button>
    <span class="space"></span>
    <button type="button" id="speaker-dark" aria-pressed="false">Dark <kbd>B</kbd></button>
    <button type="button" id="speaker-clock">Set the clock back <kbd>C</kbd></button>
</div></footer>
<p class="visually-hidden" id="present-says" role="status"></p>
</x-layouts.app>
