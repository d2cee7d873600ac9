@php
    $title = $plan->title === '' ? 'Untitled' : $plan->title;
    $given = ['role' => 'watch', 'deck' => $deck, 'address' => route('watch', $end), 'plan' => route('watch', $end), 'name' => '',
        'vocabulary' => ['mapSigns' => \App\Http\Vocabulary::all()['mapSigns']]];
@endphp
<x-layouts.app :title="$title . ' – Embrel'" :scripts="['resources/js/present.js']" robots="noindex, nofollow" class="is-night present watch">
<script type="application/json" id="present-data">{!! json_encode($given, JSON_HEX_TAG | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR) !!}</script>
<main class="present-main">
    <div class="present-stage" id="present-stage">
        <section class="shown" id="shown" lang="{{ $deck['language'] }}" aria-label="What is shown"></section>
        <div id="map-side" hidden><h1 class="visually-hidden">{{ $title }}</h1><svg class="ground" id="shown-map" role="group"
            aria-label="The map"></svg></div>
    </div>
</main>
<footer class="watch-foot"><p id="watch-says" role="status"></p><button type="button" id="watch-full">The whole screen</button></footer>
<p class="visually-hidden" id="present-says" role="status"></p>
</x-layouts.app>
