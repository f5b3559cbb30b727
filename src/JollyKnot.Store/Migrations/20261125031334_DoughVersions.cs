using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace JollyKnot.Store.Migrations
{
    /// <inheritdoc />
    public partial class DoughVersions : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Words",
                table: "Doughs",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.CreateTable(
                name: "DoughVersions",
                columns: table => new
                {
                    DoughId = table.Column<Guid>(type: "TEXT", nullable: false),
                    Version = table.Column<int>(type: "INTEGER", nullable: false),
                    Document = table.Column<string>(type: "TEXT", nullable: false),
                    SavedAt = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_DoughVersions", x => new { x.DoughId, x.Version });
                    table.ForeignKey(
                        name: "FK_DoughVersions_Doughs_DoughId",
                        column: x => x.DoughId,
                        principalTable: "Doughs",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            // What was kept before versions were is the version it says it is; its document holds the words to find it by.
            migrationBuilder.Sql("INSERT INTO DoughVersions (DoughId, Version, Document, SavedAt) SELECT Id, Version, Document, UpdatedAt FROM Doughs;");
            migrationBuilder.Sql("UPDATE Doughs SET Words = lower(Document);");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "DoughVersions");

            migrationBuilder.DropColumn(
                name: "Words",
                table: "Doughs");
        }
    }
}
