@props(['view'])
<main class="schedule" id="schedule" @if ($view !== 'schedule') hidden @endif>
    <h1 class="visually-hidden" id="schedule-title" tabindex="-1">Schedule</h1>
    <p class="error" id="schedule-error" role="alert" hidden></p>
    <div class="schedule-scroller" id="schedule-scroller" tabindex="-1">
        <div class="schedule-head" id="schedule-head"><p class="days-name" id="schedule-held" aria-live="off"></p><div class="schedule-months"
            id="schedule-months" aria-hidden="true"></div></div>
        <div class="schedule-body">
            <div class="schedule-line is-now" id="schedule-now" title="Today" hidden></div>
            <div class="schedule-line is-due" id="schedule-due" hidden></div>
            <ul class="schedule-rows" id="schedule-rows" aria-label="Topics and their days"></ul>
        </div>
        <p class="schedule-empty" id="schedule-empty" hidden></p>
    </div>
</main>
