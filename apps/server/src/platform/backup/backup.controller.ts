import { Controller, Get, HttpCode, Inject, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiProperty, ApiTags } from '@nestjs/swagger';
import path from 'path';
import { CONFIG, type Config } from '../config';
import { backupsDir, listBackups, manifestOf } from './backups';
import { UpkeepService } from './upkeep.service';
import { May } from '../access/may';

/** A backup in the data folder. */
export class BackupDto {
  @ApiProperty({ description: 'name of its folder below backups/' }) name!: string;
  @ApiProperty({ description: 'when it was made, ISO 8601' }) made!: string;
  @ApiProperty({ description: 'how many files its database names' }) files!: number;
  @ApiProperty({ description: 'bytes of its database and files; unchanged files are shared by all backups' })
  bytes!: number;
}

/** Backups of the studio. */
@ApiTags('studio')
@Controller('backups')
export class BackupController {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly upkeep: UpkeepService,
  ) {}

  /** All backups, newest first. */
  @May('manage')
  @Get()
  @ApiOkResponse({ type: [BackupDto] })
  list(): BackupDto[] {
    return listBackups(this.config.dataDir)
      .reverse()
      .map((name) => this.present(name));
  }

  /** Makes a backup while people work. */
  @May('manage')
  @Post()
  @HttpCode(201)
  @ApiCreatedResponse({ type: BackupDto })
  async make(): Promise<BackupDto> {
    return this.present(await this.upkeep.backup());
  }

  private present(name: string): BackupDto {
    const { made, blobs, database } = manifestOf(path.join(backupsDir(this.config.dataDir), name))!;
    return { name, made, files: blobs.length, bytes: blobs.reduce((sum, b) => sum + b.bytes, database.bytes) };
  }
}
