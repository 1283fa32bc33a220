<?php

declare(strict_types=1);

namespace Olvek\Service\Photo;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Olvek\Service\Account\Today;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Site\ConcurrentChange;
use Olvek\Service\Site\Csv;
use Olvek\Service\Site\PlainText;
use Olvek\Service\Tank\Bounds;
use Olvek\Service\Tank\Holding;
use Olvek\Service\Tank\Tank;
use Symfony\Component\Uid\Uuid;

/** A tank's photos: added, listed, read, removed. */
final readonly class Photos
{
    /** Of a photo's three pictures together, before they are made. J. */
    private const USUAL_BYTES = 500_000;
    private const ELSEWHERE = 'This photo wasn’t saved: its id belongs to a photo of another tank. Send it again from this page.';
    public const COLUMNS = ['file', 'day', 'words', 'width', 'height', 'id'];

    public function __construct(
        private EntityManagerInterface $entities,
        private Today $today,
        private BuildRecords $buildRecords,
        private Bounds $bounds,
    ) {
    }

    /**
     * @param string $path of what was sent
     * @param string $id   a UUID of the sender's; "" for a new one
     *
     * @return array<string, string> why it was refused, by field; none where it is kept, or was before
     *
     * @throws ConcurrentChange where the id is that of another tank's photo
     */
    public function add(Tank $tank, string $path, string $day, string $words, string $id): array
    {
        if ('' !== $id && !Uuid::isValid($id)) {
            return ['' => 'This photo has an id that is none. Send it again from this page.'];
        }
        $uuid = '' === $id ? Uuid::v7() : Uuid::fromString($id);
        $there = $this->entities->find(Photo::class, $uuid);
        if (null !== $there) {
            return $there->tank === $tank ? [] : throw new ConcurrentChange(self::ELSEWHERE);
        }
        $errors = array_filter([
            'day' => $this->buildRecords->dayFault($tank, $day),
            'words' => PlainText::fault($words, Photo::LONGEST_WORDS, 'The caption'),
            'photo' => Darkroom::fault($path) ?? $this->bounds->fault($tank->keeper, new Holding(photos: 1, bytes: self::USUAL_BYTES)),
        ], is_string(...));
        $on = $this->today->orEarlier($tank->keeper, $day);
        if ([] !== $errors || null === $on) {
            return $errors;
        }
        $made = Darkroom::develop($path);
        if (null === $made) {
            return ['photo' => 'This picture is incomplete, or isn’t the type it claims to be. Send it again, or another.'];
        }
        $this->keep($uuid, $tank, $on, $words, $made);

        return [];
    }

    /** @param array{width: int, height: int, pictures: array<string, string>} $made in the darkroom */
    private function keep(Uuid $id, Tank $tank, \DateTimeImmutable $on, string $words, array $made): void
    {
        $bytes = array_sum(array_map(strlen(...), $made['pictures']));
        $photo = new Photo($id, $tank, $on, $words, $made['width'], $made['height'], $bytes);
        $this->entities->persist($photo);
        foreach ($made['pictures'] as $size => $picture) {
            $this->entities->persist(new PhotoFile($photo, PhotoSize::from($size), $picture));
        }
        try {
            $this->entities->flush();
        } catch (UniqueConstraintViolationException) {
            // The same photo came by another way at the same moment, and is kept.
        }
    }

    /**
     * A photo out of a file that Olvek wrote: its largest picture, from which the others are made again.
     *
     * @return string|null why it was not kept; null where it is, or was before
     */
    public function bring(Tank $tank, Uuid $id, \DateTimeImmutable $on, string $words, string $path): ?string
    {
        $fault = Darkroom::fault($path) ?? $this->bounds->fault($tank->keeper, new Holding(photos: 1, bytes: self::USUAL_BYTES));
        $made = null === $fault ? Darkroom::develop($path, keepsLargest: true) : null;
        if (null === $made) {
            return $fault ?? 'This picture is incomplete, or isn’t the type it claims to be.';
        }
        $this->keep($id, $tank, $on, $words, $made);

        return null;
    }

    /** Of which tank the photo of this id is; null where there is none. */
    public function tankOf(Uuid $id): ?Tank
    {
        return $this->entities->find(Photo::class, $id)?->tank;
    }

    /**
     * What there is to choose from, without making two thousand photos to show their days.
     *
     * @return array<string, array{day: \DateTimeImmutable, words: string}> by id, oldest first
     */
    public function days(Tank $tank): array
    {
        /** @var list<array{id: Uuid, day: \DateTimeImmutable, words: string}> $rows */
        $rows = $this->entities
            ->createQuery(
                'SELECT p.id AS id, p.on AS day, p.words AS words FROM '.Photo::class.' p WHERE p.tank = :tank ORDER BY p.on, p.id',
            )
            ->setParameter('tank', $tank->id(), 'uuid')
            ->getArrayResult();
        $days = [];
        foreach ($rows as ['id' => $id, 'day' => $day, 'words' => $words]) {
            $days[$id->toRfc4122()] = ['day' => $day, 'words' => $words];
        }

        return $days;
    }

    /** @return list<Photo> newest first */
    public function newest(Tank $tank, int $most, int $from): array
    {
        return $this->entities
            ->getRepository(Photo::class)
            ->findBy(['tank' => $tank->id()], ['on' => 'DESC', 'id' => 'DESC'], $most, $from);
    }

    /** @return list<Photo> of a stretch of days, oldest first */
    public function between(Tank $tank, \DateTimeImmutable $from, \DateTimeImmutable $to): array
    {
        /** @var list<Photo> $photos */
        $photos = $this->entities
            ->createQuery('SELECT p FROM '.Photo::class.' p WHERE p.tank = :tank AND p.on >= :from AND p.on <= :to ORDER BY p.on, p.id')
            ->setParameter('tank', $tank->id(), 'uuid')
            ->setParameter('from', $from, 'date_immutable')
            ->setParameter('to', $to, 'date_immutable')
            ->getResult();

        return $photos;
    }

    /**
     * @param string $folder in the ZIP, with its slash; '' for none
     *
     * @return iterable<string, string> all of a tank's, large, by their names in a ZIP, and a list of them
     */
    public function album(Tank $tank, string $folder = ''): iterable
    {
        $rows = $days = [];
        $order = ['on' => 'ASC', 'words' => 'ASC', 'id' => 'ASC'];
        $photos = $this->entities->getRepository(Photo::class)->findBy(['tank' => $tank->id()], $order);
        foreach ($photos as $photo) {
            $day = $photo->on->format('Y-m-d');
            $days[$day] = ($days[$day] ?? 0) + 1;
            $name = "photos/$day-$days[$day].jpg";
            $file = $this->file($photo, PhotoSize::Large);
            if (null === $file) {
                continue;
            }
            $rows[] = [$name, $day, $photo->words, $photo->width, $photo->height, $photo->id->toRfc4122()];
            yield $folder.$name => $file->bytes();
            $this->entities->detach($file);
        }
        yield $folder.'photos.csv' => Csv::write(self::COLUMNS, $rows);
    }

    public function find(Tank $tank, string $id): ?Photo
    {
        return $this->entities->getRepository(Photo::class)->findOneBy(['id' => $id, 'tank' => $tank->id()]);
    }

    public function file(Photo $photo, PhotoSize $size): ?PhotoFile
    {
        return $this->entities->find(PhotoFile::class, ['photo' => $photo->id, 'size' => $size->value]);
    }

    public function remove(Photo $photo): void
    {
        // The database takes its pictures along.
        $this->entities->remove($photo);
        $this->entities->flush();
    }
}
