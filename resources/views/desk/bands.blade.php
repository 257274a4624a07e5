@include('desk.now', ['swap' => true])
@include('desk.rail', ['swap' => true])
@include('desk.lineup', ['swap' => true])
@include('desk.missing', ['swap' => true])
