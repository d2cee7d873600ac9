{{-- What is offered beside the plan, about the topic in hand. Nothing of it is kept before somebody takes it. --}}
<aside class="talk prompts" id="prompts" aria-label="Prompts" hidden>
    <div class="prompts-head">
        <div class="prompts-tabs" role="tablist" aria-label="What is offered">
            @foreach (['asked' => 'Questions', 'near' => 'Near', 'terms' => 'Terms', 'shorter' => 'Shorter', 'draft' => 'First draft', 'helper' => 'Helper'] as $offer => $name)
                <button type="button" role="tab" id="prompts-{{ $offer }}" data-offer="{{ $offer }}" aria-controls="prompts-body"
                    aria-selected="false" tabindex="-1">{{ $name }}</button>
            @endforeach
        </div>
        <button class="ico" type="button" data-close title="Close the prompts" aria-label="Close the prompts"><x-icon name="x" :size="16"/></button>
    </div>
    <p class="prompts-about"><span class="visually-hidden">About </span><span id="prompts-about"></span><button class="link"
        type="button" id="prompts-whole" aria-pressed="false">The whole plan</button></p>
    <p class="prompts-said quiet" role="status"></p>
    <div class="prompts-body" id="prompts-body" role="tabpanel" tabindex="-1"></div>
</aside>
