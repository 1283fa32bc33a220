<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Olvek\Service\Site\SessionFiles;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** Sessions as files that are whole or not there. */
final class SessionFilesTest extends TestCase
{
    private string $folder;
    private SessionFiles $sessions;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/olvek-sessions-'.getmypid();
        $this->sessions = new SessionFiles(new Filesystem(), $this->folder);
        $this->sessions->open('', 'olvek');
    }

    protected function tearDown(): void
    {
        $this->sessions->close();
        (new Filesystem())->remove($this->folder);
    }

    public function testWhatIsWrittenIsReadByNobodyElse(): void
    {
        self::assertSame('', $this->sessions->read('abc'));
        self::assertTrue($this->sessions->write('abc', 'kept'));
        self::assertSame('kept', $this->sessions->read('abc'));
        self::assertSame('', $this->sessions->read('abd'));
        self::assertSame(0o600, fileperms("$this->folder/sess_abc") & 0o777);
        $this->sessions->destroy('abc');
        self::assertSame('', $this->sessions->read('abc'));
    }

    /** Names that nobody was given make no files. */
    public function testInventedNamesLeaveNothing(): void
    {
        for ($n = 0; $n < 1000; ++$n) {
            $this->sessions->read("invented$n");
        }
        self::assertDirectoryDoesNotExist($this->folder, 'not even a lock: an invented name holds nobody up');
        $this->sessions->read('../../outside');
        $this->sessions->write('../../outside', 'x');
        self::assertFileExists("$this->folder/sess_______outside");
    }

    public function testOldOnesAreThrownOut(): void
    {
        $this->sessions->write('old', 'x');
        $this->sessions->write('new', 'x');
        touch("$this->folder/sess_old", time() - 101);
        touch("$this->folder/sess_new", time() - 99);
        self::assertSame(1, $this->sessions->gc(100));
        self::assertFileDoesNotExist("$this->folder/sess_old");
        self::assertFileExists("$this->folder/sess_new");
    }

    /** Killed while it writes without end, a process leaves one of the two states, whole. */
    public function testKilledInMidWrite(): void
    {
        $code =
            'require $argv[1]; $s = new Olvek\\Service\\Site\\SessionFiles(new Symfony\\Component\\Filesystem\\Filesystem(), $argv[2]); '
                .'$s->open("", "olvek"); for (;;) { foreach (["a", "b"] as $c) { $s->write("abc", str_repeat($c, 300000)); } }';
        for ($n = 0; $n < 10; ++$n) {
            $writer = new Process(['php', '-r', $code, \dirname(__DIR__, 2).'/vendor/autoload.php', $this->folder]);
            $writer->start();
            while (!is_file("$this->folder/sess_abc")) {
                usleep(2000);
            }
            usleep(random_int(1000, 30000));
            $writer->signal(\SIGKILL);
            $writer->wait();
            $read = (string) file_get_contents("$this->folder/sess_abc");
            self::assertContains($read, [str_repeat('a', 300000), str_repeat('b', 300000)]);
        }
    }

    /** Two requests of one session come one after the other; one that has let go is not waited for. */
    public function testASessionIsHeldByOneAtATime(): void
    {
        $this->sessions->write('abc', 'x');
        $this->sessions->close();
        $this->sessions->read('abc');
        $code =
            'require $argv[1]; $s = new Olvek\\Service\\Site\\SessionFiles(new Symfony\\Component\\Filesystem\\Filesystem(), $argv[2]); '
                .'$s->open("", "olvek"); $s->read("abc"); echo "read";';
        $other = new Process(['php', '-r', $code, \dirname(__DIR__, 2).'/vendor/autoload.php', $this->folder]);
        $other->start();
        usleep(400_000);
        self::assertSame('', $other->getOutput());
        $this->sessions->close();
        $other->wait();
        self::assertSame('read', $other->getOutput());
    }
}
