<x-layout :title="__('What is kept')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper kept">
            <h1>{{ __('What is kept, where, and for how long') }}</h1>
            <p>{{ __('Crag runs on the computer that this page comes from. Everything is stored there and nowhere else; no page asks any other company for anything, and nothing is counted or sold.') }}</p>
            <h2 class="h5">{{ __('In a session') }}</h2>
            <ul>
                <li>{{ __('Students: the name that they typed or tapped, everything that they draw and answer with its time, messages, and what a teacher checked. No account, no address, no birthday.') }}</li>
                <li>{{ __('Who sees it: the teachers of the session. A student sees the own work alone, and what a teacher shows to the class.') }}</li>
                <li>{{ __('Ink on its way from a pen to the teacher’s page passes through and is not kept; the finished stroke is.') }}</li>
            </ul>
            <h2 class="h5">{{ __('For how long') }}</h2>
            <p>{{ $days === 0
                ? __('Here everything of a session is deleted at its end, unless its teacher chooses to keep it longer.')
                : trans_choice('{1} One day after a session’s end, unless its teacher chooses otherwise. Then it is deleted by itself.|[2,*] :count days after a session’s end, unless its teacher chooses otherwise. Then it is deleted by itself.',
                $days) }}
                {{ __('The page that a student has at the end names the day. A teacher can forget a session at once, or one student in it.') }}</p>
            <p>{{ __('Forgetting deletes the rows in the database, the pictures, the PDFs and zips that were made, and what pages were told. Copies that somebody saved are theirs, and a backup of the computer is the school’s to look after.') }}</p>
            <h2 class="h5">{{ __('Beside sessions') }}</h2>
            <ul>
                <li>{{ __('Teachers: a name; with an account an e-mail address and a password that cannot be read back; plans and class lists until they delete them.') }}</li>
                <li>{{ __('On devices: cookies that remember your place and tell this browser from others, and strokes that could not be sent yet.') }}</li>
            </ul>
        </section>
        <p class="mt-3"><a href="{{ route('home') }}">{{ __('Home') }}</a></p>
    </main>
</x-layout>
