@props(['view', 'plan'])
<main class="film" id="film" tabindex="-1" aria-label="The history as a film" @if ($view !== 'film') hidden @endif>
    <div class="film-stage"><h1 id="film-title">{{ $plan->title }}</h1><ol id="film-rows" aria-label="The outline then"></ol><svg
        id="film-map" class="ground" role="tree" aria-label="The map then" hidden></svg></div>
    <section class="film-controls" aria-label="The film">
        <p class="film-step"><b id="film-says"></b> <span id="film-when"></span> <small id="film-count"></small></p>
        <div class="film-ticks" id="film-ticks" aria-hidden="true"></div>
        <input type="range" id="film-at" min="0" max="0" value="0" aria-label="Step">
        <div class="film-buttons">
            <button type="button" class="primary" id="film-play">Play</button>
            <button type="button" class="plain" id="film-back">Step back</button>
            <button type="button" class="plain" id="film-on">Step on</button>
            <label>Speed <select id="film-speed"><option value="0.5">half</option><option value="1" selected>usual</option><option
                value="2">double</option><option value="6">six times</option></select></label>
            <button type="button" class="plain" id="film-since" hidden>Since my last visit</button>
            <span class="space"></span>
            <button type="button" class="plain" id="film-sides">Beside how it is now</button>
            <form id="film-plan" method="post">@csrf<button class="plain">Make a plan of this moment</button></form>
        </div>
    </section>
</main>
