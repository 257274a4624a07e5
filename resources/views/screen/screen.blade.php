<x-layout :title="__('Class screen')" script="screen" class="screen"
    :page="['session' => $session->id, 'address' => '/screen/'.$session->id, 'position' => $position, 'assets' => '/asset', 'stamps' => Crag\Canvas\Drawing\StampArt::all(), 'words' => App\Http\Words\ScreenWords::all()]">
    <main id="shown" class="shown">@include('screen.shown')</main>
</x-layout>
