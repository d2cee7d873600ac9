<form class="find" id="find" method="dialog" role="search" aria-label="Find in this plan" hidden>
    <input class="box" id="find-text" type="search" aria-label="Find" placeholder="Find in titles, labels and notes" maxlength="1000"
        autocomplete="off">
    <button class="toggle" type="button" data-toggle="whole" aria-pressed="false">Whole words</button>
    <button class="toggle" type="button" data-toggle="case" aria-pressed="false">Same case</button>
    <button class="toggle" type="button" data-toggle="only" id="find-only" aria-pressed="false">Only these</button>
    <span class="count" id="find-count" role="status"></span>
    <button class="ico" type="button" id="find-before" title="The one before (Shift Enter)" aria-label="The one before"><x-icon
        name="chevron-up"/></button>
    <button class="ico" type="button" id="find-next" title="The next one (Enter)" aria-label="The next one"><x-icon
        name="chevron-down"/></button>
    <input class="box" id="find-with" aria-label="Replace with" placeholder="Replace with" maxlength="1000" autocomplete="off">
    <button class="plain" type="button" id="find-replace">See the changes</button>
    <button class="ico" type="button" id="find-close" title="Close (Esc)" aria-label="Close the search"><x-icon name="x"/></button>
</form>
