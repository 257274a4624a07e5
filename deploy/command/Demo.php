<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Install\Setup;

/** Everything with the demo class, in the foreground. */
final class Demo
{
    public function run(Options $options): int
    {
        $port = $options->whole('port', 8000, 1, 65535);
        $students = $options->whole('students', DemoClass::STUDENTS, 0, DemoClass::MOST_STUDENTS);
        Setup::complete();
        $class = DemoClass::start($options->text('host', '127.0.0.1'), $port);
        $class->play($students);
        if ($options->has('json')) {
            Console::say((string) json_encode($class->addresses, JSON_UNESCAPED_SLASHES));
        } else {
            $this->tell($class);
        }
        $class->instance->superviseUntilAsked();

        return 0;
    }

    private function tell(DemoClass $class): void
    {
        Console::say('The demo class is drawing. Open:');
        Console::say("  the desk           {$class->addresses['desk']}");
        Console::say("  the plans          {$class->addresses['plans']}");
        Console::say("  a student          {$class->addresses['student']}");
        Console::say("  the class screen   {$class->addresses['screen']}");
        Console::say("  the schools        {$class->addresses['schools']}");
        Console::say("  or join            {$class->addresses['join']}  (code {$class->addresses['code']})");
        Console::say('Ctrl-C stops all of it.');
    }
}
