import { Migration } from '@mikro-orm/migrations';

/** Who added a controller to the library; unknown for those that were there before. */
export class Migration0011AddedBy extends Migration {
  override up(): void {
    this.addSql(`
      alter table controller add column added_by uuid;
      alter table controller add constraint controller_added_by_foreign
        foreign key (added_by) references person (id) on update cascade on delete set null;
    `);
  }

  override down(): void {
    this.addSql('alter table controller drop column added_by;');
  }
}
