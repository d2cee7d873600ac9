<x-layouts.printed :title="$title" :$width :$height>
    <x-slot:says>{{ count($pages) === 1 ? 'One page' : number_format(count($pages)) . ' pages' }}, set in the fonts that this browser has.
        Printing to a file gives a PDF.</x-slot:says>
@foreach ($pages as $page)
    <section class="sheet is-page" style="width:{{ $width }}mm;height:{{ $height }}mm">{!! $page !!}</section>
@endforeach
</x-layouts.printed>
