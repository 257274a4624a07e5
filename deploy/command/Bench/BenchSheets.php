<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Browser\Chrome;
use Deploy\Browser\Page;
use Deploy\DemoClass;
use Deploy\Port;
use Facebook\WebDriver\WebDriverBy;
use Symfony\Component\Process\Process;

/**
 * A PDF of worksheets brought into a plan, in a browser, a prompt a page: from the teacher's last press until all are
 * there, and how often the page said how far it was.
 */
final readonly class BenchSheets
{
    public function __construct(private int $pages)
    {
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $class = DemoClass::start('127.0.0.1', Port::free(), 'bench');
        $chrome = Chrome::start();
        $pdf = self::pdf($this->pages);
        try {
            $teacher = $chrome->open()->visit($class->addresses['plans']);
            $teacher->click('.library-head .btn-go')->find('#plan-file');
            $teacher->driver->findElement(WebDriverBy::cssSelector('#plan-file'))->sendKeys($pdf);
            $teacher->seen('#pages-window');
            $teacher->run('document.querySelector("#pages-choice").value = arguments[0]', "1-{$this->pages}");
            $teacher->click('#pages-window [value=prompts]');
            $began = hrtime(true);
            $teacher->click('#pages-window .btn-go');
            $said = [];
            $teacher->until(function () use ($teacher, &$said): bool {
                $said[$teacher->text('#plan-intake')] = true;

                return count($teacher->all('#plan-prompts [data-prompt]')) === $this->pages;
            }, 'a prompt for each page', 300);

            return [
                'pages' => $this->pages,
                'bytes' => (int) filesize($pdf),
                'seconds' => round((hrtime(true) - $began) / 1e9, 1),
                'said' => count($said),
                'named' => self::named($teacher),
            ];
        } finally {
            $chrome->stop();
            $class->instance->stop();
            $class->instance->removeAll();
            @unlink($pdf);
        }
    }

    /** How many prompts are called by what their page begins with. */
    private static function named(Page $teacher): int
    {
        $count = $teacher->run(
            'return [...document.querySelectorAll("#plan-prompts [data-prompt]")]
                .filter((one) => one.textContent.includes("Loads on a beam")).length',
        );

        return is_int($count) ? $count : 0;
    }

    /** Pages of A4 upright, each full of words and lines to write on. */
    private static function pdf(int $pages): string
    {
        $folder = sys_get_temp_dir().'/crag-sheets-'.bin2hex(random_bytes(6));
        mkdir($folder);
        $files = [];
        for ($n = 1; $n <= $pages; $n++) {
            $drawn = "<text x=\"60\" y=\"70\" font-size=\"20\">Loads on a beam, sheet {$n}</text>";
            for ($line = 0; $line < 30; $line++) {
                $y = 110 + 24 * $line;
                $drawn .= "<text x=\"60\" y=\"{$y}\" font-size=\"11\">{$line}. A load of {$n}".
                    ' newtons hangs from the plank; its moment about the support is</text>'.
                    "<path d=\"M430 {$y}H540\" stroke=\"#000\"/>";
            }
            file_put_contents(
                $files[] = sprintf('%s/%03d.svg', $folder, $n),
                '<svg xmlns="http://www.w3.org/2000/svg" width="595pt" height="842pt" viewBox="0 0 595 842">'.
                    "<rect width=\"595\" height=\"842\" fill=\"#fff\"/>{$drawn}</svg>",
            );
        }
        (new Process(['rsvg-convert', '-f', 'pdf', '-o', "{$folder}.pdf", ...$files]))->mustRun();
        array_map(unlink(...), $files);
        rmdir($folder);

        return "{$folder}.pdf";
    }
}
