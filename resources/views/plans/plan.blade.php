@php
    $isTree = in_array($view, ['outline', 'map'], true);
@endphp
<x-plan-frame :plan="$plan" :current="$view" :title="$plan->title . ' – Embrel'" :scripts="['resources/js/plan.js']"
    :told="$data['steps']">
    <x-slot:beside>
        <span class="saved" id="saved" role="status">Saved</span>
        <button class="pill is-waiting" type="button" id="open-refusals" hidden></button>
    </x-slot:beside>
    <x-bars :plan="$plan" :view="$view"/>
    <x-find-bar/>
    <div class="work without-note" id="work" data-view="{{ $view }}" @unless ($isTree) hidden @endunless>
        <x-views.outline :plan="$plan" :view="$view"/>
        <x-views.map :view="$view"/>
        <x-note-panel/>
    </div>
    <x-views.gather :view="$view"/>
    <x-views.draft :view="$view"/>
    <x-views.sources :plan="$plan" :view="$view"/>
    <x-views.check :view="$view"/>
    <x-views.schedule :view="$view"/>
    <x-views.film :view="$view" :plan="$plan"/>
    <x-talk/>
    <x-prompts/>
    <x-catch-line :view="$view"/>
    <x-slot:after>
        <div class="visually-hidden" id="live" aria-live="polite"></div>
        <x-plan-dialogs :plan="$plan"/>
        @foreach (['chevron-right' => 14, 'ellipsis' => 16, 'notebook-pen' => 15] as $icon => $size)
            <template id="icon-{{ $icon }}"><x-icon :name="$icon" :size="$size"/></template>
        @endforeach
        <script type="application/json" id="plan-data">{!! json_encode($data, JSON_HEX_TAG | JSON_HEX_AMP | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR) !!}</script>
    </x-slot:after>
</x-plan-frame>
