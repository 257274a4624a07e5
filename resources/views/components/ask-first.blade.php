{{-- What a form that deletes asks before it is sent: the question stands in the form's data-ask, the verb on its
    button. --}}
<dialog id="ask-first" class="small-window" aria-labelledby="ask-first-question">
    <form method="dialog">
        <p id="ask-first-question" class="ask-first-question"></p>
        <div class="maths-end"><button type="button" class="btn btn-outline-slate" data-cancel
            autofocus>{{ __('Cancel') }}</button><button class="btn btn-end" value="yes"
            id="ask-first-yes">{{ __('Yes') }}</button></div>
    </form>
</dialog>
