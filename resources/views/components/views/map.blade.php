@props(['view'])
<main class="map-side" id="map" @if ($view !== 'map') hidden @endif>
    <h1 class="visually-hidden">Map</h1>
    <svg class="ground" id="ground" role="tree" tabindex="0" aria-label="Topics" aria-multiselectable="true"></svg>
    <div class="empty" id="map-empty" hidden>
        <p>What is the first thing that this piece has to say?</p>
        <input class="box mt-3" id="first-on-map" aria-label="First topic" placeholder="Type a topic, then Enter" maxlength="1000"
            autocomplete="off">
    </div>
    <aside class="map-tray" id="map-tray" aria-label="Loose ideas" hidden>
        <div class="tray-head"><h2>Loose ideas</h2><button class="ico" type="button" data-close-tray title="Close"
            aria-label="Close the loose ideas"><x-icon name="x" :size="16"/></button></div>
        <ul></ul>
        <p class="hint">Nothing is loose. Ctrl K catches an idea that has no place yet.</p>
    </aside>
    <svg class="overview" id="overview" aria-hidden="true" hidden></svg>
</main>
