<?php

declare(strict_types=1);

namespace Olvek\Tests\Photo;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Photo\BareJpeg;
use Olvek\Service\Photo\Darkroom;
use Olvek\Service\Photo\Photo;
use Olvek\Service\Photo\PhotoFile;
use Olvek\Service\Photo\PhotoSize;
use Olvek\Service\Work\Turns;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Uid\Uuid;

/** Photos: what is taken and what is refused, what they lose, and who sees them. All pictures are drawn here. */
final class PhotoTest extends BenchTestCase
{
    use FilledTank;

    /** @var list<string> */
    private array $files = [];

    protected function tearDown(): void
    {
        array_map(unlink(...), array_filter($this->files, is_file(...)));
        parent::tearDown();
    }

    private function written(string $bytes): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'olvek');
        $this->files[] = $path;
        file_put_contents($path, $bytes);

        return $path;
    }

    /** A picture whose left half is red and whose right half is green, with as much grain in it as a photo has at least. */
    private static function drawn(int $width, int $height, string $kind): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        \assert(false !== $image);
        imagefilledrectangle($image, 0, 0, intdiv($width, 2), $height, 0xFF0000);
        imagefilledrectangle($image, intdiv($width, 2), 0, $width, $height, 0x00FF00);
        for ($n = intdiv($width * $height, 200); $n > 0; --$n) {
            $x = $n * 7919 % $width;
            imagesetpixel($image, $x, intdiv($n * 104_729, $width) % $height, $x < intdiv($width, 2) ? 0xE00000 : 0x00E000);
        }
        ob_start();
        match ($kind) {
            'png' => imagepng($image),
            'webp' => imagewebp($image),
            'gif' => imagegif($image),
            default => imagejpeg($image),
        };

        return (string) ob_get_clean();
    }

    /**
     * A JPEG that a camera held on its side would write: EXIF orientation 6 (turn clockwise), and a place. P: EXIF 2.32 (CIPA DC-008), tags
     * 0x0112, 0x8825.
     */
    private static function fromCamera(): string
    {
        $entry = static fn (int $tag, int $type, int $count, string $value): string => pack('nnN', $tag, $type, $count)
            .str_pad($value, 4, "\0");
        $gps = pack('n', 1).$entry(1, 2, 2, "N\0").pack('N', 0);
        $ifd = pack('n', 3)
            .$entry(0x010E, 2, 4, "geo\0")
            .$entry(0x0112, 3, 1, pack('n', 6))
            .$entry(0x8825, 4, 1, pack('N', 8 + 2 + 36 + 4))
            .pack('N', 0);
        $exif = "Exif\0\0MM\0*".pack('N', 8).$ifd.$gps.'HERE-IS-THE-KEEPER';
        $jpeg = self::drawn(400, 200, 'jpeg');

        return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', \strlen($exif) + 2).$exif.substr($jpeg, 2);
    }

    /** A PNG's head may promise any size. P: PNG specification (ISO/IEC 15948), IHDR. */
    private static function head(int $width, int $height): string
    {
        return "\x89PNG\r\n\x1A\n".pack('N', 13).'IHDR'.pack('NNCCCCC', $width, $height, 8, 2, 0, 0, 0);
    }

    /** @param array<string, string> $sent */
    private function upload(string $bytes, array $sent = [], string $name = 'tank.jpg'): void
    {
        $token = $this->browser->request('GET', "/tanks/$this->tank/photos")->filter('.photo-add input[name="_token"]')->attr('value');
        $this->browser->request(
            'POST',
            "/tanks/$this->tank/photos",
            ['_token' => $token, ...$sent],
            ['photo' => new UploadedFile($this->written($bytes), $name, null, null, true)],
        );
    }

    /** @return list<Photo> */
    private function photos(): array
    {
        $this->service(EntityManagerInterface::class)->clear();

        return $this->service(EntityManagerInterface::class)->getRepository(Photo::class)->findBy(['tank' => $this->tank]);
    }

    private function picture(Photo $photo, string $size): string
    {
        $this->browser->request('GET', "/tanks/$this->tank/photos/$photo->id/$size.jpg");
        self::assertResponseIsSuccessful();
        self::assertResponseHeaderSame('Content-Type', 'image/jpeg');
        self::assertResponseHeaderSame('X-Content-Type-Options', 'nosniff');

        return (string) $this->browser->getResponse()->getContent();
    }

    #[TestWith(['jpeg'])]
    #[TestWith(['png'])]
    #[TestWith(['webp'])]
    public function testEachKindIsTakenAndMadeSmall(string $kind): void
    {
        $this->fill(20);
        $this->upload(self::drawn(2400, 1200, $kind), ['words' => 'From the door', 'day' => $this->day(-9)]);
        self::assertResponseRedirects();
        [$photo] = $this->photos();
        self::assertSame([1600, 800], [$photo->width, $photo->height]);
        foreach (PhotoSize::cases() as $size) {
            $bytes = $this->picture($photo, $size->value);
            $info = getimagesizefromstring($bytes);
            self::assertNotFalse($info);
            self::assertSame([$size->pixels(), intdiv($size->pixels(), 2), \IMAGETYPE_JPEG], \array_slice($info, 0, 3));
        }
        $this->browser->request('GET', "/tanks/$this->tank/photos");
        self::assertSame('Week 2', $this->text('#weeks h2'));
        self::assertStringContainsString('From the door', $this->text('.photo-strip'));
    }

    public function testItIsTurnedUprightAndLosesItsPlace(): void
    {
        $bytes = self::fromCamera();
        self::assertStringContainsString('HERE-IS-THE-KEEPER', $bytes);
        $path = $this->written($bytes);
        $exif = @exif_read_data($path);
        self::assertIsArray($exif);
        self::assertSame(6, $exif['Orientation'] ?? null, 'another reader finds the camera on its side');
        $this->upload($bytes);
        [$photo] = $this->photos();
        self::assertSame([200, 400], [$photo->width, $photo->height]);
        foreach (PhotoSize::cases() as $size) {
            $kept = $this->picture($photo, $size->value);
            self::assertStringNotContainsString('HERE-IS-THE-KEEPER', $kept);
            self::assertStringNotContainsString('Exif', $kept);
        }
        $image = imagecreatefromstring($this->picture($photo, 'large'));
        \assert(false !== $image);
        $colour = imagecolorsforindex($image, (int) imagecolorat($image, 100, 20));
        self::assertGreaterThan(200, $colour['red'], 'what was left is on top');
    }

    public function testWhatHidesBehindAPictureIsGone(): void
    {
        $this->upload(self::drawn(300, 200, 'jpeg').'<?php echo 1; ?><script>alert(1)</script>', name: 'tank.php');
        [$photo] = $this->photos();
        foreach (PhotoSize::cases() as $size) {
            self::assertStringNotContainsString('<script>', $this->picture($photo, $size->value));
        }
    }

    #[TestWith(['<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>', 'no picture that Olvek can read'])]
    #[TestWith(['<?php phpinfo();', 'no picture that Olvek can read'])]
    #[TestWith(['', 'no picture that Olvek can read'])]
    #[TestWith(['gif', 'no picture that Olvek can read'])]
    #[TestWith(['cut', 'is incomplete'])]
    #[TestWith(['bomb', '20000 × 20000 pixels'])]
    #[TestWith(['side', '12001 × 10 pixels'])]
    public function testWhatIsNoPhotoIsRefusedWithAReason(string $bytes, string $why): void
    {
        $this->upload(match ($bytes) {
            'gif' => self::drawn(20, 20, 'gif'),
            'cut' => substr(self::drawn(20, 20, 'png'), 0, 60),
            'bomb' => self::head(20000, 20000),
            'side' => self::head(12001, 10),
            default => $bytes,
        }, ['words' => 'kept', 'day' => $this->day(0)]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($why, $this->text('#error-photo'));
        self::assertSame('kept', $this->browser->getCrawler()->filter('input[name="words"]')->attr('value'));
        self::assertSame([], $this->photos());
    }

    /** 715 bytes that call themselves 40 million pixels took 2.5 s and 202 MB to open. */
    public function testAFewBytesCannotCallThemselvesALargePicture(): void
    {
        $this->upload(str_pad(self::head(4800, 4800), 715, "\0"), ['day' => $this->day(0)]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('too small for the picture', $this->text('#error-photo'));
    }

    public function testOnePhotoAtATimeAndNotWithoutEnd(): void
    {
        $this->browser->disableReboot();
        $turns = $this->service(Turns::class);
        $whose = $this->keeper->id()->toBase58().'.photo';
        self::assertTrue($turns->take($whose, 'photo'));
        $this->upload(self::drawn(20, 20, 'jpeg'), ['words' => 'kept', 'day' => $this->day(0)]);
        self::assertResponseStatusCodeSame(429);
        self::assertResponseHasHeader('Retry-After');
        self::assertSame('kept', $this->browser->getCrawler()->filter('input[name="words"]')->attr('value'));
        $turns->give($whose, 'photo');
        for ($n = 0; $n < 30; ++$n) {
            $this->upload('', ['day' => $this->day(0)]);
            self::assertResponseStatusCodeSame(422, "the $n th is looked at");
        }
        $this->upload(self::drawn(20, 20, 'jpeg'), ['day' => $this->day(0)]);
        self::assertResponseStatusCodeSame(429, 'thirty a minute');
        self::assertSame([], $this->photos());
    }

    public function testAPhotoIsAskedForAnewSinceADeviceMayBeShared(): void
    {
        $this->upload(self::drawn(20, 20, 'jpeg'), ['day' => $this->day(0)]);
        [$photo] = $this->photos();
        $this->picture($photo, 'strip');
        self::assertStringContainsString('no-cache', (string) $this->browser->getResponse()->headers->get('Cache-Control'));
        $etag = (string) $this->browser->getResponse()->headers->get('ETag');
        $at = "/tanks/$this->tank/photos/$photo->id/strip.jpg";
        $this->browser->request('GET', $at, server: ['HTTP_IF_NONE_MATCH' => $etag]);
        self::assertResponseStatusCodeSame(304);
        $this->browser->loginUser($this->service(KeeperRepository::class)->enrol('Odd', 'Odd', 'another long word'));
        $this->browser->request('GET', $at, server: ['HTTP_IF_NONE_MATCH' => $etag]);
        self::assertResponseStatusCodeSame(404);
    }

    /** An id that another tank's photo has is not "saved": the device would throw the only copy away. */
    public function testAnIdOfAnotherTanksPhotoIsTold(): void
    {
        $id = '01890000-0000-7000-8000-0000000000aa';
        $this->upload(self::drawn(20, 20, 'jpeg'), ['day' => $this->day(0), 'id' => $id]);
        $this->upload(self::drawn(20, 20, 'jpeg'), ['day' => $this->day(0), 'id' => $id]);
        self::assertResponseRedirects(message: 'sent twice it is saved');
        $this->tank = $this->newTank($this->service(KeeperRepository::class)->find($this->keeper->id()) ?? $this->keeper);
        $this->upload(self::drawn(20, 20, 'jpeg'), ['day' => $this->day(0), 'id' => $id]);
        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('wasn’t saved', $this->text('main'));
    }

    public function testWhatAJpegHoldsBesideItsPicture(): void
    {
        $own = self::drawn(40, 20, 'jpeg');
        self::assertTrue(BareJpeg::is($own));
        foreach (
            [
                'behind' => $own."\0",
                'before' => "\0".$own,
                'comment' => substr_replace($own, "\xFF\xFE\x00\x06HERE", 2, 0),
                'camera' => self::fromCamera(),
                'cut' => substr($own, 0, -2),
                'png' => self::drawn(40, 20, 'png'),
                'none' => '',
            ] as $what => $bytes
        ) {
            self::assertFalse(BareJpeg::is($bytes), $what);
        }
    }

    /** Just below and just above each limit. */
    public function testLimits(): void
    {
        $fault = fn (int $width, int $height, int $bytes = 100_000): ?string => Darkroom::fault(
            $this->written(str_pad(self::head($width, $height), $bytes, "\0")),
        );
        self::assertNull($fault(Darkroom::MOST_SIDE, 2000));
        self::assertNotNull($fault(Darkroom::MOST_SIDE + 1, 1999));
        self::assertNull($fault(6000, 4000));
        self::assertNotNull($fault(6000, 4001));
        // Fewer bytes than any picture of that size has: it is not even opened.
        self::assertNull($fault(4000, 1000, 10_000));
        self::assertStringContainsString('too small', (string) $fault(4000, 1000, 9_999));
        $jpeg = self::drawn(10, 10, 'jpeg');
        self::assertNull(Darkroom::fault($this->written(str_pad($jpeg, Darkroom::MOST_BYTES, "\0"))));
        $larger = $this->written(str_pad($jpeg, Darkroom::MOST_BYTES + 1, "\0"));
        self::assertStringContainsString('larger than 15 MB', (string) Darkroom::fault($larger));
    }

    public function testDaysAreDaysOfTheTank(): void
    {
        $this->fill(5);
        foreach ([-6 => 'was filled on', 1 => 'lies ahead'] as $day => $why) {
            $this->upload(self::drawn(20, 20, 'jpeg'), ['day' => $this->day($day)]);
            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString($why, $this->text('#error-day'));
        }
        foreach ([-5, 0] as $day) {
            $this->upload(self::drawn(20, 20, 'jpeg'), ['day' => $this->day($day)]);
            self::assertResponseRedirects();
        }
        self::assertCount(2, $this->photos());
    }

    public function testACaptionHasItsLength(): void
    {
        $this->upload(self::drawn(20, 20, 'jpeg'), ['words' => str_repeat('x', Photo::LONGEST_WORDS + 1)]);
        self::assertStringContainsString('at most 160 characters', $this->text('#error-words'));
        $this->upload(self::drawn(20, 20, 'jpeg'), ['words' => str_repeat('x', Photo::LONGEST_WORDS)]);
        self::assertCount(1, $this->photos());
    }

    public function testManyPhotosArePaged(): void
    {
        $entities = $this->service(EntityManagerInterface::class);
        $tank = $this->stored();
        for ($n = 0; $n < 61; ++$n) {
            $entities->persist(new Photo(Uuid::v7(), $tank, new \DateTimeImmutable('2026-01-01'), "photo $n", 10, 10));
        }
        $entities->flush();
        $page = $this->browser->request('GET', "/tanks/$this->tank/photos");
        self::assertCount(60, $page->filter('.photo-strip li'));
        $page = $this->browser->click($page->selectLink('Older')->link());
        self::assertCount(1, $page->filter('.photo-strip li'));
        self::assertCount(1, $page->selectLink('Newer'));
        self::assertCount(0, $page->selectLink('Older'));
    }

    /** Up to 150 days all can be chosen; of more every second, with the first and the last. */
    #[TestWith([150, 150])]
    #[TestWith([151, 76])]
    #[TestWith([152, 77])]
    public function testOfManyPhotosSomeCanBeCompared(int $photos, int $offered): void
    {
        $entities = $this->service(EntityManagerInterface::class);
        $tank = $this->stored();
        for ($n = 0; $n < $photos; ++$n) {
            $entities->persist(new Photo(Uuid::v7(), $tank, new \DateTimeImmutable("2026-01-01 +$n days"), "photo $n", 10, 10));
        }
        $entities->flush();
        $page = $this->browser->request('GET', "/tanks/$this->tank/photos/compare");
        $choices = $page->filter('select[name="after"] option')->each(static fn ($o): string => trim($o->text()));
        self::assertCount($offered, $choices);
        self::assertStringEndsWith('photo 0', $choices[0]);
        self::assertStringEndsWith('photo '.($photos - 1), $choices[$offered - 1]);
    }

    public function testOneThatIsSentTwiceIsKeptOnceAndRemovedWhole(): void
    {
        $id = Uuid::v4()->toRfc4122();
        foreach ([1, 2] as $time) {
            $this->upload(self::drawn(30, 20, 'jpeg'), ['id' => $id]);
            self::assertResponseRedirects(null, null, "time $time");
        }
        self::assertCount(1, $this->photos());
        $page = $this->browser->request('GET', "/tanks/$this->tank/photos");
        $this->browser->submit($page->selectButton('Remove')->form());
        self::assertSame([], $this->photos());
        self::assertSame([], $this->service(EntityManagerInterface::class)->getRepository(PhotoFile::class)->findAll());
        $this->browser->request('GET', "/tanks/$this->tank/photos/$id/page.jpg");
        self::assertResponseStatusCodeSame(404);
    }

    /** A photo of one tank is not to be had by the address of another, even of the same keeper's; nor by anybody else. */
    public function testAllLeaveAsAZipWithAList(): void
    {
        $this->fill(30);
        $this->upload(self::drawn(300, 200, 'jpeg'), ['words' => 'first', 'day' => $this->day(-3)]);
        $this->upload(self::drawn(300, 200, 'jpeg'), ['words' => 'second', 'day' => $this->day(-1)]);
        $this->browser->request('GET', "/tanks/$this->tank/photos.zip");
        self::assertResponseIsSuccessful();
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($path, $this->browser->getInternalResponse()->getContent());
        $zip = new \ZipArchive();
        self::assertTrue($zip->open($path));
        $list = explode("\n", trim((string) $zip->getFromName('photos.csv')));
        self::assertCount(3, $list);
        foreach (['first', 'second'] as $n => $words) {
            [$name, , $caption] = str_getcsv($list[$n + 1], escape: '');
            self::assertSame($words, $caption);
            self::assertSame('image/jpeg', getimagesizefromstring((string) $zip->getFromName((string) $name))['mime'] ?? '');
        }
        unlink($path);
    }

    public function testAScriptIsAnsweredAsJson(): void
    {
        $this->fill(30);
        $token = $this->browser->request('GET', "/tanks/$this->tank/photos")->filter('.photo-add [name="_token"]')->attr('value');
        $post = function (array $sent): array {
            $this->browser->request('POST', "/tanks/$this->tank/photos", $sent, server: ['HTTP_ACCEPT' => 'application/json']);

            return (array) json_decode((string) $this->browser->getResponse()->getContent(), true);
        };
        self::assertArrayHasKey('photo', (array) ($post(['_token' => $token])['errors'] ?? []));
        self::assertResponseStatusCodeSame(422);
    }

    public function testOnlyItsKeeperSeesAPhotoAndOnlyUnderItsTank(): void
    {
        $this->upload(self::drawn(30, 20, 'jpeg'));
        [$photo] = $this->photos();
        $mine = $this->tank;
        $second = $this->newTank($this->stored()->keeper);
        foreach (PhotoSize::cases() as $size) {
            $this->browser->request('GET', "/tanks/$second/photos/$photo->id/$size->value.jpg");
            self::assertResponseStatusCodeSame(404);
        }
        $other = $this->service(KeeperRepository::class)->enrol('Odd', 'Odd', 'another long word');
        $this->browser->loginUser($other);
        foreach (PhotoSize::cases() as $size) {
            $this->browser->request('GET', "/tanks/$mine/photos/$photo->id/$size->value.jpg");
            self::assertResponseStatusCodeSame(404);
        }
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', "/tanks/$mine/photos/$photo->id/large.jpg");
        self::assertResponseRedirects();
    }

    public function testTwoDaysStandUnderOneSlider(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/photos/compare");
        self::assertStringContainsString('Two photos are needed', $this->text('.quiet-text'));
        $this->fill(30);
        foreach ([-20, -10, 0] as $day) {
            $this->upload(self::drawn(30, 20, 'jpeg'), ['day' => $this->day($day), 'words' => "day $day"]);
        }
        $page = $this->browser->request('GET', "/tanks/$this->tank/photos/compare");
        self::assertStringContainsString('day -20', $page->filter('select[name="before"] option[selected]')->text());
        self::assertStringContainsString('day 0', $page->filter('select[name="after"] option[selected]')->text());
        self::assertCount(2, $page->filter('[data-pair] img'));
        $middle = $page->filter('select[name="after"] option')->eq(1)->attr('value');
        $page = $this->browser->request('GET', "/tanks/$this->tank/photos/compare?after=$middle&before=nonsense");
        self::assertStringContainsString('day -10', $page->filter('select[name="after"] option[selected]')->text());
    }
}
