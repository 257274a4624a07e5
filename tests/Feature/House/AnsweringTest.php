<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use App\Answering\Asked;
use App\Answering\FastCgi;
use App\Answering\ForgetRequest;
use App\Database\ImmediatePdo;
use App\Database\Turn;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ViewErrorBag;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\CragTestCase;

/** What workers that stay started read of nginx, and what they forget between two requests. */
final class AnsweringTest extends CragTestCase
{
    private const BEGIN = 1;

    private const PARAMS = 4;

    private const STDIN = 5;

    public function test_a_request_is_read_however_it_is_cut_and_padded(): void
    {
        $long = str_repeat('x', 300);
        $params = self::pair('REQUEST_METHOD', 'POST').self::pair('HTTP_COOKIE', $long).self::pair('EMPTY', '');
        [$asked] = $this->sent(
            self::record(self::BEGIN, "\0\1\0\0\0\0\0\0"),
            self::record(self::PARAMS, substr($params, 0, 20), 4),
            self::record(self::PARAMS, substr($params, 20)),
            self::record(self::PARAMS, ''),
            self::record(self::STDIN, 'name=', 3),
            self::record(self::STDIN, 'Tamsin'),
            self::record(self::STDIN, ''),
        );
        self::assertSame(
            [['REQUEST_METHOD' => 'POST', 'HTTP_COOKIE' => $long, 'EMPTY' => ''], 'name=Tamsin'],
            $asked,
        );
    }

    /** @param  list<string>  $records */
    #[TestWith([['GET / HTTP/1.1']])]
    #[TestWith([["\x01\x01\x00\x07\x00\x08\x00\x00cut off"]])]
    #[TestWith([["\x01\x01\x00\x07\x00\x08\x00\x00\0\1\0\0\0\0\0\0", "\x01\x02\x00\x07\x00\x00\x00\x00"]])]
    public function test_what_is_no_request_or_breaks_off_is_none(array $records): void
    {
        self::assertNull($this->sent(...$records)[0]);
    }

    public function test_an_answer_comes_in_records_that_end(): void
    {
        $text = str_repeat('0123456789', 20_000);
        [, $connection, $nginx] = $this->sent(
            self::record(self::BEGIN, "\0\1\0\0\0\0\0\0", id: 7),
            self::record(self::PARAMS, '', id: 7),
            self::record(self::STDIN, '', id: 7),
        );
        stream_set_blocking($nginx, false);
        $got = '';
        foreach (str_split($text, 60_000) as $part) {
            self::assertTrue($connection->write($part));
            $got .= stream_get_contents($nginx);
        }
        $connection->end();
        stream_set_blocking($nginx, true);
        $got .= stream_get_contents($nginx);
        $found = ['', []];
        for ($at = 0; $at < strlen($got); $at += 8 + $length) {
            ['type' => $type, 'id' => $id, 'length' => $length] = (array) unpack('C/Ctype/nid/nlength', $got, $at);
            self::assertSame(7, $id);
            $found[1][] = $type;
            $found[0] .= $type === 6 ? substr($got, $at + 8, $length) : '';
        }
        self::assertSame($text, $found[0]);
        // No more output, and the end of the request.
        self::assertSame([6, 3], array_slice($found[1], -2));
    }

    public function test_whoever_goes_away_meanwhile_breaks_nothing(): void
    {
        [, $connection, $nginx] = $this->sent(
            self::record(self::BEGIN, "\0\1\0\0\0\0\0\0"),
            self::record(self::PARAMS, ''),
            self::record(self::STDIN, ''),
        );
        fclose($nginx);
        self::assertFalse($connection->write('too late'));
        $connection->end();
    }

    public function test_a_request_is_what_php_itself_would_make_of_it(): void
    {
        $form = Asked::request(
            [
                'REQUEST_METHOD' => 'POST',
                'REQUEST_URI' => '/join?code=KMP4R&of%5B%5D=a',
                'QUERY_STRING' => 'code=KMP4R&of%5B%5D=a',
                'CONTENT_TYPE' => 'application/x-www-form-urlencoded; charset=UTF-8',
                'HTTP_HOST' => 'crag.example:8000',
                'HTTP_COOKIE' => 'one=a%2Bb+c; two=x=y;three;one=again; =nobody',
            ],
            'name='.urlencode('نور +').'&seats%5B%5D=1&seats%5B%5D=2',
        );
        self::assertSame('POST', $form->method());
        self::assertSame(['code' => 'KMP4R', 'of' => ['a']], $form->query->all());
        self::assertSame(['name' => 'نور +', 'seats' => ['1', '2']], $form->post());
        self::assertSame(['one' => 'a+b+c', 'two' => 'x=y', 'three' => ''], $form->cookies->all());
        self::assertSame('crag.example:8000', $form->getHttpHost());
        $many = Asked::request(
            ['REQUEST_METHOD' => 'POST', 'CONTENT_TYPE' => 'application/x-www-form-urlencoded'],
            implode('&', array_map(static fn (int $n): string => "f{$n}=1", range(1, 3000))),
        );
        self::assertCount((int) ini_get('max_input_vars'), $many->post());
        $json = Asked::request(
            ['REQUEST_METHOD' => 'POST', 'REQUEST_URI' => '/x', 'CONTENT_TYPE' => 'application/json'],
            '{"operations":[{"id":"a"}]}',
        );
        self::assertSame([['id' => 'a']], $json->input('operations'));
        self::assertSame('{"operations":[{"id":"a"}]}', $json->getContent());
    }

    public function test_nothing_of_a_request_is_there_for_the_next(): void
    {
        $forget = new ForgetRequest();
        session()->put('whose', 'Tamsin');
        $session = session()->driver();
        Cookie::queue('crag_teacher', 'a token');
        View::share('errors', 'Please type your name.');
        app()->setLocale('de');
        Turn::of('a session');
        $turn = Turn::keys();
        DB::beginTransaction();
        $forget->after($this->app);
        self::assertNotSame($session, session()->driver());
        self::assertSame([], Cookie::getQueuedCookies());
        self::assertInstanceOf(ViewErrorBag::class, View::shared('errors'));
        self::assertSame('en', app()->getLocale());
        self::assertNotSame($turn, Turn::keys());
        self::assertSame(0, DB::transactionLevel());
    }

    public function test_rows_that_are_left_half_way_hold_up_nobody(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'crag-rows');
        self::assertIsString($file);
        config(['database.connections.other' => ['database' => $file] + config()->array('database.connections.sqlite')]);
        $ours = DB::connection('other');
        $ours->statement('create table numbers (n integer)');
        $ours->table('numbers')->insert(array_map(static fn (int $n): array => ['n' => $n], range(1, 50)));
        $pdo = $ours->getPdo();
        self::assertInstanceOf(ImmediatePdo::class, $pdo);
        $pdo->keepStatements();
        // Two beside each other, by the same words, and both left before their ends.
        $pairs = [];
        foreach ($ours->table('numbers')->orderBy('n')->cursor() as $one) {
            foreach ($ours->table('numbers')->orderBy('n')->cursor() as $other) {
                $pairs[] = [$one->n, $other->n];
                if ($other->n === 2) {
                    break;
                }
            }
            if ($one->n === 2) {
                break;
            }
        }
        self::assertSame([[1, 1], [1, 2], [2, 1], [2, 2]], $pairs);
        DB::connectUsing('theirs', config()->array('database.connections.other'))->table('numbers')->insert(['n' => 51]);
        self::assertSame(52, $ours->transaction(static function () use ($ours): int {
            $ours->table('numbers')->insert(['n' => 52]);

            return $ours->table('numbers')->count();
        }));
        array_map(DB::purge(...), ['other', 'theirs']);
        array_map(unlink(...), glob("{$file}*") ?: []);
    }

    /** @return array{array{array<string, string>, string}|null, FastCgi, resource} what is read, and both ends */
    private function sent(string ...$records): array
    {
        $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0);
        self::assertIsArray($pair);
        [$nginx, $ours] = $pair;
        fwrite($nginx, implode('', $records));
        if (count($records) < 3) {
            stream_socket_shutdown($nginx, STREAM_SHUT_WR);
        }
        $connection = new FastCgi($ours);

        return [$connection->read(), $connection, $nginx];
    }

    private static function record(int $type, string $content, int $padding = 0, int $id = 1): string
    {
        return pack('CCnnCC', 1, $type, $id, strlen($content), $padding, 0).$content.str_repeat("\xff", $padding);
    }

    private static function pair(string $name, string $value): string
    {
        $length = static fn (string $of): string => strlen($of) < 128
            ? chr(strlen($of))
            : pack('N', strlen($of) | 0x80_00_00_00);

        return $length($name).$length($value).$name.$value;
    }
}
