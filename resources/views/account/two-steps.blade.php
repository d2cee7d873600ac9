<section>
    <h2>Signing in in two steps</h2>
    @if (\App\SignIn\SecondStep::isOn($user))
        @php($left = \App\SignIn\SecondStep::codesLeft($user))
        <p>It is on: after the password you are asked for a code of your device.
            {{ $left === 0 ? 'You have no codes on paper left.' : ($left === 1 ? 'One code on paper is left.' : "{$left} codes on paper are left.") }}</p>
        <form class="grid gap-4" method="post" action="{{ route('account.second-step') }}">
            @csrf @method('DELETE')
            <x-field name="second_code" label="Code, to change it" autocomplete="one-time-code" inputmode="text" spellcheck="false"
                maxlength="40" required/>
            <div class="dialog-foot"><button class="plain" formaction="{{ route('account.second-step.codes') }}" name="_method"
                value="POST">New codes on paper</button><button class="plain danger">Turn it off</button></div>
        </form>
    @else
        <p>With a second step, whoever gets to know your password still cannot come in: it takes your phone, or another device of yours.</p>
        <div class="dialog-foot"><a class="plain" href="{{ route('account.second-step') }}">Turn it on</a></div>
    @endif
</section>
