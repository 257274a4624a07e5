<x-layout :title="__('What is kept')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper kept">
            <h1>{{ __('What we keep, where, and for how long') }}</h1>
            <p>{{ __('Crag runs on the computer this page comes from. Everything is stored there and nowhere else. No page contacts any other company, and nothing is tracked or sold.') }}</p>
            <h2 class="h5">{{ __('In a session') }}</h2>
            <ul>
                <li>{{ __('Students: the name they typed or tapped, everything they draw and answer (with times), messages, and teachers’ checks. No account, no address, no date of birth.') }}</li>
                <li>{{ __('Who sees it: the session’s teachers. Students only see their own work, and what a teacher shows the class.') }}</li>
                <li>{{ __('Ink passes live from a pen to the teacher’s page and isn’t kept; the finished stroke is.') }}</li>
            </ul>
            <h2 class="h5">{{ __('For how long') }}</h2>
            <p>{{ $days === 0
                ? __('Here everything in a session is deleted when it ends, unless its teacher keeps it longer.')
                : trans_choice('{1} One day after a session, unless its teacher chooses otherwise. Then it’s deleted automatically.|[2,*] :count days after a session, unless its teacher chooses otherwise. Then it’s deleted automatically.',
                $days) }}
                {{ __('The page students see at the end names the day. A teacher can delete a session at any time, or one student’s work in it.') }}</p>
            <p>{{ __('Forgetting deletes the database rows, the pictures, the PDFs and zips that were made, and anything waiting for open pages. Copies that someone has saved are theirs, and the computer’s backups are up to the school.') }}</p>
            <h2 class="h5">{{ __('Outside of sessions') }}</h2>
            <ul>
                <li>{{ __('Teachers: a name; with an account, an e-mail address and a password nobody can read; plans and class lists until they delete them.') }}</li>
                <li>{{ __('On devices: cookies that remember your place and tell this browser from others, and strokes that could not be sent yet.') }}</li>
                <li>{{ __('On a student’s device also the page with what is drawn on it, so that it opens without a network. It goes when the session ends or is forgotten, when someone joins on that device next, and at once with “Leave this device” under More.') }}</li>
            </ul>
        </section>
        <p class="mt-3"><a href="{{ route('home') }}">{{ __('Home') }}</a></p>
    </main>
</x-layout>
