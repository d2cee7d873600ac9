<x-plan-frame :plan="$plan" current="hand-over" :title="'The way back: ' . $plan->title . ' – Embrel'" class="beside" x-data="wayBack"
    data-address="{{ route('way-back', $plan) }}">
    <div class="settle">
        <form class="choices" method="dialog" aria-label="The draft that came back" x-on:submit.prevent="accept">
            <h1 class="font-text text-xl font-semibold mb-3">A draft comes home</h1>
            <p class="mb-3">A document that was handed over from here and changed in another program. What differs is shown section by
                section; you say what is taken into the plan.</p>
            <label class="drop" x-bind:class="{ 'is-over': isOver }" x-on:dragover.prevent="over" x-on:dragleave="out"
                x-on:drop.prevent="drop">
                <strong x-text="dropLabel">Choose the document, or drop it here</strong><br><small>docx, odt, HTML or Markdown</small>
                <input type="file" class="visually-hidden" aria-label="File" accept=".docx,.odt,.html,.htm,.md,.zip" x-on:change="pick">
            </label>
            <p class="hint mt-2" x-text="sureness" x-show="compared"></p>
            <div class="dialog-foot" x-show="hasAny"><button class="plain" type="button" x-show="hasChanges" x-on:click="toggleAll"
                x-text="allLabel">Take all</button><button class="primary" x-bind:disabled="!canAccept"
                x-text="acceptLabel">Take in</button></div>
        </form>
        <main class="stage">
            <p class="said error" role="alert" x-show="error" x-cloak x-text="error"></p>
            <div class="working" x-show="isWorking" x-cloak role="status"><span>Comparing</span><progress
                aria-label="Progress"></progress></div>
            <p class="nothing" x-show="isIdle">The differences are shown here. Nothing is changed before you say so.</p>
            <p class="nothing" x-show="isSame" x-cloak>The document says what the plan says. There is nothing to take in.</p>
            <ul class="differences" x-show="hasChanges" x-cloak aria-label="Differences">
                <template x-for="change in changes" x-bind:key="change.key"><li>
                    <label class="difference" x-bind:class="{ 'is-of-both': change.isOfBoth }"><input type="checkbox"
                        x-bind:value="change.key" x-model="taken"><span class="kind" x-text="change.kind"></span><strong
                        x-text="change.title"></strong><em x-text="change.where"></em></label>
                    <div class="sides" x-show="change.sides.length"><template x-for="side in change.sides" x-bind:key="side.label"><div>
                        <h2 x-text="side.label"></h2>
                        <p class="words"><template x-for="piece in side.words" x-bind:key="piece.key"><span x-bind:class="piece.sign"
                            x-text="piece.text"></span></template><i x-show="side.isEmpty">nothing</i></p>
                    </div></template></div>
                </li></template>
            </ul>
            <section class="draft-comments" x-show="hasComments" x-cloak aria-label="Comments">
                <h2>Comments in the draft</h2>
                <p class="hint">They are kept with their sections when you take something in.</p>
                <ul><template x-for="comment in comments" x-bind:key="comment.key"><li><strong x-text="comment.who"></strong>
                    <em x-text="comment.title"></em><p x-text="comment.text"></p></li></template></ul>
            </section>
        </main>
    </div>
</x-plan-frame>
